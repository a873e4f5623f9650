/** Builds a folder when its sources have changed since it was built last. */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ROOT } from './root.mjs';

const LEFT_OUT = new Set(['node_modules', 'dist', 'dist-pseudo', '.expo']);

async function* filesBelow(path) {
  const entries = await readdir(path, { withFileTypes: true }).catch(() => null);
  if (entries === null) {
    yield path;
    return;
  }
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    if (LEFT_OUT.has(entry.name) || /\.test\.tsx?$/.test(entry.name)) continue;
    if (entry.isDirectory()) yield* filesBelow(join(path, entry.name));
    else yield join(path, entry.name);
  }
}

async function fingerprint(sources) {
  const hash = createHash('sha256');
  for (const source of sources) {
    for await (const path of filesBelow(join(ROOT, source)))
      hash.update(path).update(await readFile(path));
  }
  return hash.digest('hex');
}

/** @param {{ folder: string, sources: string[], build: () => Promise<void> }} what sources: files and folders from the root */
export async function ensureBuilt({ folder, sources, build }) {
  const stamp = join(folder, '.stamp');
  const wanted = await fingerprint(sources);
  if (existsSync(stamp) && (await readFile(stamp, 'utf8')) === wanted) return;
  await build();
  await writeFile(stamp, wanted);
}

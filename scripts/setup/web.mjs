/** Builds the web target when its sources have changed since the last build. */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { writeServiceWorker } from './offline.mjs';
import { ROOT } from './root.mjs';
import { run } from './run.mjs';

export const WEB_FOLDER = join(ROOT, 'apps', 'app', 'dist');
const SOURCES = [
  'apps/app',
  'packages/core',
  'packages/contract',
  'packages/files',
  'package-lock.json',
  'scripts/setup/offline.mjs',
];
const LEFT_OUT = new Set(['node_modules', 'dist', '.expo']);

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

async function fingerprint() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    for await (const path of filesBelow(join(ROOT, source)))
      hash.update(path).update(await readFile(path));
  }
  return hash.digest('hex');
}

export async function ensureWebBuild() {
  const stamp = join(WEB_FOLDER, '.stamp');
  const wanted = await fingerprint();
  if (existsSync(stamp) && (await readFile(stamp, 'utf8')) === wanted) return;
  console.log('Building the app (a minute or so, after each change of its sources)…');
  const env = {
    ...process.env,
    EXPO_OFFLINE: '1',
    EXPO_NO_TELEMETRY: '1',
    CI: '1',
    NODE_ENV: 'production',
  };
  await run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: join(ROOT, 'apps', 'app'),
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  await writeServiceWorker(WEB_FOLDER);
  await writeFile(stamp, wanted);
}

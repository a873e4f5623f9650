/** Builds the web target when its sources have changed since the last build. */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { writeServiceWorker } from './offline.mjs';
import { ROOT } from './root.mjs';
import { run } from './run.mjs';

export const WEB_FOLDER = join(ROOT, 'apps', 'app', 'dist');
/** The same in the pseudo-language, for the journey that looks for words that did not come through `words/`. */
export const PSEUDO_FOLDER = join(ROOT, 'apps', 'app', 'dist-pseudo');
const SOURCES = [
  'apps/app',
  'packages/core',
  'packages/contract',
  'packages/files',
  'package-lock.json',
  'scripts/setup/offline.mjs',
  'scripts/setup/pseudoLanguage.cjs',
];
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

async function fingerprint() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    for await (const path of filesBelow(join(ROOT, source)))
      hash.update(path).update(await readFile(path));
  }
  return hash.digest('hex');
}

/** Builds the app into a folder, where its sources have changed since they were last built there. */
async function ensureBuild(folder, env = {}) {
  const stamp = join(folder, '.stamp');
  const wanted = await fingerprint();
  if (existsSync(stamp) && (await readFile(stamp, 'utf8')) === wanted) return;
  console.log('Building the app (a minute or so, after each change of its sources)…');
  await run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', basename(folder)], {
    cwd: join(ROOT, 'apps', 'app'),
    env: {
      ...process.env,
      EXPO_OFFLINE: '1',
      EXPO_NO_TELEMETRY: '1',
      CI: '1',
      NODE_ENV: 'production',
      ...env,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  await writeServiceWorker(folder);
  await writeFile(stamp, wanted);
}

export const ensureWebBuild = () => ensureBuild(WEB_FOLDER);

/** With a bundler's cache of its own: it does not see that the plugin came in. */
export async function ensurePseudoBuild() {
  const cache = join(tmpdir(), 'nucleon-pseudo');
  await mkdir(cache, { recursive: true });
  await ensureBuild(PSEUDO_FOLDER, { NUCLEON_PSEUDO: '1', TMPDIR: cache });
}

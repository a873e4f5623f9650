/** Builds the web target when its sources have changed since the last build. */
import { mkdir } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { ensureBuilt } from './built.mjs';
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
  'scripts/setup/speakingRooms.cjs',
];
/** Builds the app into a folder, where its sources have changed since they were last built there. */
const ensureBuild = (folder, env = {}) =>
  ensureBuilt({
    folder,
    sources: SOURCES,
    build: async () => {
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
    },
  });

export const ensureWebBuild = () => ensureBuild(WEB_FOLDER);

/** With a bundler's cache of its own: it does not see that the plugin came in. */
export async function ensurePseudoBuild() {
  const cache = join(tmpdir(), 'nucleon-pseudo');
  await mkdir(cache, { recursive: true });
  await ensureBuild(PSEUDO_FOLDER, { NUCLEON_PSEUDO: '1', TMPDIR: cache });
}

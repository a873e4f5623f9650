/** Builds the server into a few files, so that it starts in a second: its sources, each read by itself, take four. */
import { readFile, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { ensureBuilt } from './built.mjs';
import { ROOT } from './root.mjs';

const SERVER = join(ROOT, 'apps', 'server');
const FOLDER = join(SERVER, 'dist');
const SOURCES = [
  'apps/server',
  'packages/core',
  'packages/contract',
  'package-lock.json',
  'scripts/setup/serverBuild.mjs',
];

/** The packages that the server names stay as they are installed, some being more than JavaScript; ours are built in. */
async function packagesLeftOut() {
  const { dependencies } = JSON.parse(await readFile(join(SERVER, 'package.json'), 'utf8'));
  return Object.keys(dependencies).filter((name) => !name.startsWith('@nucleon/'));
}

async function build() {
  // Loaded where it is needed: what was built before starts without it.
  const esbuild = await import('esbuild');
  await rm(FOLDER, { recursive: true, force: true });
  const external = await packagesLeftOut();
  await esbuild.build({
    entryPoints: {
      main: join(SERVER, 'src', 'main.ts'),
      annexMain: join(SERVER, 'src', 'annex', 'annexMain.ts'),
      'heavy.worker': join(SERVER, 'src', 'heavy', 'heavy.worker.ts'),
    },
    outdir: FOLDER,
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    mainFields: ['module', 'main'],
    sourcemap: true,
    external: external.flatMap((name) => [name, `${name}/*`]),
    // A package of the old kind that is built in asks for Node's own by this.
    banner: {
      js: "import { createRequire as nodeRequire } from 'node:module'; const require = nodeRequire(import.meta.url);",
    },
    logLevel: 'warning',
  });
}

/** @returns {Promise<string>} the file to start */
export async function ensureServerBuild() {
  await ensureBuilt({ folder: FOLDER, sources: SOURCES, build });
  return join(FOLDER, 'main.js');
}

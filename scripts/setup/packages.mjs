/** Puts in place what is missing: npm packages, and programs from Debian's packages. */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ROOT } from './root.mjs';
import { capture, run } from './run.mjs';

const OLDEST_NODE = [20, 12];

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor >= OLDEST_NODE[1])) return;
  throw new Error(
    `Node ${process.versions.node} is too old; Nucleon needs ${OLDEST_NODE.join('.')} or newer.`,
  );
}

/** Installs the locked npm packages unless these very ones are in place. */
export async function ensureNpmPackages() {
  const lock = await readFile(join(ROOT, 'package-lock.json'));
  const wanted = createHash('sha256').update(lock).digest('hex');
  const stamp = join(ROOT, 'node_modules', '.nucleon-stamp');
  if (existsSync(stamp) && (await readFile(stamp, 'utf8')) === wanted) return;
  console.log('Installing npm packages (a minute or two, once)…');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: ROOT });
  await writeFile(stamp, wanted);
}

const onPath = async (program) => (await capture('sh', ['-c', `command -v ${program}`])).code === 0;
const sbin = { ...process.env, PATH: `${process.env.PATH}:/usr/sbin:/sbin` };

/** Installs Debian packages whose program is missing: as root, else says what to install. */
export async function ensureDebianPackages(wanted) {
  process.env.PATH = sbin.PATH;
  const missing = [];
  for (const [program, name] of Object.entries(wanted)) {
    if (!(await onPath(program))) missing.push(name);
  }
  if (missing.length === 0) return;
  const command = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (process.getuid?.() !== 0 || !(await onPath('apt-get'))) {
    throw new Error(
      `${missing.join(' and ')} must be installed first. As root: apt-get update && ${command}`,
    );
  }
  console.log(`Installing ${missing.join(', ')} from Debian’s packages (once)…`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  // Services are not wanted: Nucleon starts its own server on its own folder.
  const quiet = { env: { ...env, RUNLEVEL: '1' }, stdio: ['ignore', 'ignore', 'inherit'] };
  await run('apt-get', ['update', '-qq'], quiet);
  await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], quiet);
}

export const MARIADB = { mariadbd: 'mariadb-server' };
export const CHROMIUM = { 'chromium-headless-shell': 'chromium-headless-shell' };

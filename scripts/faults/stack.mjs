/** The whole program as a person starts it, on a folder of its own, with a way to take parts of it away. */
import { spawn } from 'node:child_process';
import { chmod, mkdtemp, readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ROOT } from '../setup/root.mjs';
import { endChild, ended, sleep } from '../setup/run.mjs';

/** Whoever has not signed in asks no more than four times a second. */
const HEALTH_EACH_MS = 260;
const UP_WITHIN_MS = 60_000;

/** Waits until a promise of true comes; false when it never does. */
export async function until(isSo, withinMs = UP_WITHIN_MS, everyMs = 100) {
  const end = Date.now() + withinMs;
  while (Date.now() < end) {
    if (await isSo().catch(() => false)) return true;
    await sleep(everyMs);
  }
  return false;
}

/** A folder of its own, which another user may pass through: started as root, database and server are another. */
export async function newFolder(work, name) {
  const folder = await mkdtemp(join(work, name));
  await chmod(folder, 0o711);
  return folder;
}

export const isAlive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

/** Processes of servers that have ended, which should have ended with them. */
async function leftBehind() {
  const pids = (await readdir('/proc')).filter((name) => /^\d+$/.test(name));
  const found = await Promise.all(
    pids.map(async (pid) => {
      const read = (file) => readFile(join('/proc', pid, file), 'utf8').catch(() => '');
      return (
        (await read('cmdline')).includes('/annexMain.') && /^PPid:\t1$/m.test(await read('status'))
      );
    }),
  );
  return found.filter(Boolean).length;
}

/** @returns how many still stand after the time that ending takes */
export async function orphansLeft() {
  await until(async () => (await leftBehind()) === 0, 5000);
  return leftBehind();
}

/** @throws with what the start said when it does not come up */
export async function openStack(data, { script = 'start.mjs', port = 0, words = [] } = {}) {
  const child = spawn(
    process.execPath,
    [join(ROOT, 'scripts', script), '--data', data, '--port', String(port), ...words],
    { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] },
  );
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
  const address = () => /Nucleon is at (\S+)/.exec(said)?.[1];
  await until(() => Promise.resolve(child.exitCode !== null || address() !== undefined));
  if (child.exitCode !== null || address() === undefined) {
    await endChild(child, 15_000);
    throw new Error(said.slice(-1000));
  }
  const pidIn = async (file) => Number(await readFile(join(data, file), 'utf8'));
  const note = async () => JSON.parse(await readFile(join(data, 'start.lock'), 'utf8'));
  return {
    address: address(),
    port: port || Number(new URL(address()).port),
    child,
    said: () => said,
    note,
    serverPid: async () => (await note()).serverPid,
    databasePid: () => pidIn(join('mariadb', 'mysqld.pid')),
    /** @param at where it answers, if not where it says */
    isHealthy: (withinMs, at = address()) =>
      until(
        async () => (await fetch(`${at}/api/v1/health`, { signal: AbortSignal.timeout(3000) })).ok,
        withinMs,
        HEALTH_EACH_MS,
      ),
    stop: () => endChild(child, 30_000),
    kill: async () => {
      child.kill('SIGKILL');
      await ended(child);
    },
  };
}

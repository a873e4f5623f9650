import { fork, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { setPriority, tmpdir } from 'node:os';
import { extname, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { notThere, type Annex } from './annex';

/** It is started again so soon, and twice as late each time it does not come up. */
const AGAIN_MS = 500;
const LATEST_MS = 10_000;
const PATIENCE_MS = 7000;
/** What it computes gives way to whoever asks for something light. */
const GIVES_WAY = 10;

/** A second process that does what takes long, started again when it ends; its socket is this user’s alone. */
export function openAnnex(databaseUrl: string, log: (text: string) => void): Annex {
  const folder = mkdtempSync(join(tmpdir(), 'nucleon-annex-'));
  // Beside this file, as a source or built.
  const kind = extname(import.meta.url);
  const file = fileURLToPath(new URL(`./annexMain${kind}`, import.meta.url));
  let closed = false;
  let starts = 0;
  let againMs = AGAIN_MS;
  let child: ChildProcess;
  let listening: Promise<string>;
  const start = (): void => {
    const socketPath = join(folder, `annex-${starts++}`);
    child = fork(file, [socketPath], {
      env: { ...process.env, NUCLEON_DB_URL: databaseUrl },
      execArgv: kind === '.ts' ? ['--import', 'tsx'] : ['--enable-source-maps'],
    });
    if (child.pid !== undefined) setPriority(child.pid, GIVES_WAY);
    listening = new Promise((resolve) => {
      child.once('message', () => {
        againMs = AGAIN_MS;
        resolve(socketPath);
      });
    });
    child.once('exit', (code, signal) => {
      if (closed) return;
      log(`What takes long ended (${signal ?? `code ${code}`}). It is started again.`);
      // Whoever asks meanwhile waits for the next.
      listening = new Promise(() => undefined);
      setTimeout(start, againMs).unref();
      againMs = Math.min(2 * againMs, LATEST_MS);
    });
  };
  start();
  return {
    socket: (isPatient = false) => within(() => listening, isPatient ? Infinity : PATIENCE_MS),
    close: async () => {
      closed = true;
      const ended = new Promise((resolve) => child.once('exit', resolve));
      if (child.connected) child.disconnect();
      if (child.exitCode === null && child.signalCode === null) await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** What it is by then, however often it began anew; null where that is nothing. */
async function within(listening: () => Promise<string | null>, ms: number): Promise<string> {
  const until = performance.now() + ms;
  for (;;) {
    const left = Math.min(until - performance.now(), AGAIN_MS);
    if (left <= 0) throw notThere();
    const socketPath = await Promise.race([listening(), sleep(left, null, { ref: false })]);
    if (socketPath !== null) return socketPath;
  }
}

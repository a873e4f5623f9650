/** Running other programs from the scripts: Node built-ins only. */
import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';

/** Runs to the end, output shown; rejects with the command when it fails. */
export function run(command, words, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, words, { stdio: 'inherit', ...options });
    child.on('error', reject);
    child.on('exit', (code, signal) => {
      if (code === 0) resolve();
      else
        reject(new Error(`${command} ${words.join(' ')} ended with ${signal ?? `code ${code}`}.`));
    });
  });
}

/** Runs to the end quietly: { code, out }. */
export function capture(command, words, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, words, { stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let out = '';
    child.stdout.on('data', (text) => (out += text));
    child.stderr.on('data', (text) => (out += text));
    child.on('error', (error) => resolve({ code: 127, out: error.message }));
    child.on('exit', (code) => resolve({ code: code ?? 1, out }));
  });
}

export const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

const hasEnded = (child) => child.exitCode !== null || child.signalCode !== null;

/** Resolves when a child has ended. */
export const ended = (child) =>
  new Promise((resolve) => {
    if (hasEnded(child)) resolve();
    else child.on('exit', resolve);
  });

/** Asks a child to end, and ends it when it has not within the time. */
export async function endChild(child, withinMs) {
  if (!hasEnded(child)) child.kill('SIGTERM');
  const late = setTimeout(() => child.kill('SIGKILL'), withinMs);
  await ended(child);
  clearTimeout(late);
}

/** Whether a process with this id lives and its command line holds this text. */
export async function livesWith(pid, text) {
  try {
    return (await readFile(`/proc/${pid}/cmdline`, 'utf8')).replaceAll('\0', ' ').includes(text);
  } catch {
    return false;
  }
}

/** Ends a process that an earlier start left behind, if it is still the one; waits until it is gone. */
export async function endProcess(pid, text, withinMs = 30_000) {
  const until = Date.now() + withinMs;
  for (let signal = 'SIGTERM'; await livesWith(pid, text); signal = 0) {
    if (Date.now() > until) signal = 'SIGKILL';
    try {
      process.kill(pid, signal);
    } catch {
      return;
    }
    await sleep(100);
  }
}

/** Running other programs from the scripts: Node built-ins only. */
import { spawn } from 'node:child_process';

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

/** Resolves when a child has ended. */
export const ended = (child) =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) resolve();
    else child.on('exit', resolve);
  });

/** Whether a process with this id lives and its command line holds this text. */
export async function livesWith(pid, text, readFile) {
  try {
    return (await readFile(`/proc/${pid}/cmdline`, 'utf8')).replaceAll('\0', ' ').includes(text);
  } catch {
    return false;
  }
}

import { createServer, type Server } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { HeavyInput, HeavyWork } from '../heavy/heavyWork';
import { Problem } from '../http/problem';
import { annexApp } from './annexApp';
import { heavyElsewhere } from './heavyElsewhere';

let folder: string;
let server: Server | undefined;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'nucleon-heavy-'));
});
afterEach(() => {
  server?.closeAllConnections();
  server?.close();
  rmSync(folder, { recursive: true });
});

/** The server’s side of work that is done like this on the other. */
function elsewhere(run: (task: string, input: unknown, gone?: AbortSignal) => Promise<unknown>) {
  const heavy = { run } as unknown as HeavyWork;
  const socket = join(folder, 'annex');
  server = createServer(annexApp({ heavy } as never, () => undefined)).listen(socket);
  return heavyElsewhere({ socket: () => Promise.resolve(socket), close: () => Promise.resolve() });
}
const input = { at: new Date(7), odds: [0.1, NaN, undefined] } as unknown as HeavyInput<'risk'>;

it('asks the other process, and has its answer as it was made', async () => {
  const work = elsewhere((task, asked) => Promise.resolve({ task, asked }));
  expect(await work.run('risk', input)).toEqual({ task: 'risk', asked: input });
  expect(work.waiting()).toBe(0);
});

it('is told what went wrong there in the same words', async () => {
  const work = elsewhere(() => Promise.reject(new Problem('busy', 'Too many.')));
  await expect(work.run('risk', input)).rejects.toMatchObject({
    code: 'busy',
    detail: 'Too many.',
  });
});

it('says that it is being started again where it ended in the middle', async () => {
  const work = elsewhere(() => {
    server?.closeAllConnections();
    return new Promise(() => undefined);
  });
  await expect(work.run('risk', input)).rejects.toMatchObject({ code: 'busy' });
});

it('stops there what nobody waits for here', async () => {
  const gone = new AbortController();
  let told: (signal: AbortSignal) => void = () => undefined;
  const begun = new Promise<AbortSignal>((resolve) => (told = resolve));
  const work = elsewhere((_task, _asked, signal) => {
    if (signal) told(signal);
    return new Promise(() => undefined);
  });
  const asked = work.run('risk', input, gone.signal);
  const there = await begun;
  expect([there.aborted, work.waiting()]).toEqual([false, 0]);
  gone.abort();
  await expect(asked).rejects.toMatchObject({ name: 'AbortError' });
  await new Promise<void>((resolve) => {
    if (there.aborted) resolve();
    else {
      there.addEventListener('abort', () => {
        resolve();
      });
    }
  });
});

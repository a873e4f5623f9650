import type { HeavyInput } from './heavyWork';
import { MAX_WAITING, sharedWork } from './sharedWork';

const input = (name: string) => ({ name }) as unknown as HeavyInput<'risk'>;

/** Threads that are done when the test says so. */
function fakePool(queueSize = 0) {
  const begun: { readonly signal: AbortSignal; readonly done: (answer: unknown) => void }[] = [];
  const work = sharedWork({
    queueSize,
    destroy: () => Promise.resolve(),
    run: (_asked, { signal }) =>
      new Promise((resolve, reject) => {
        begun.push({ signal, done: resolve });
        signal.addEventListener('abort', () => {
          reject(new Error('stopped'));
        });
      }),
  });
  return { begun, work };
}

it('sums once for all who ask the same at once, and anew for who asks later', async () => {
  const { begun, work } = fakePool();
  const both = Promise.all([work.run('risk', input('a')), work.run('risk', input('a'))]);
  void work.run('risk', input('b'));
  expect(begun).toHaveLength(2);
  begun[0]?.done(7);
  expect(await both).toEqual([7, 7]);
  void work.run('risk', input('a'));
  expect(begun).toHaveLength(3);
});

it('stops when the last who asked has gone, and not before', async () => {
  const { begun, work } = fakePool();
  const [first, second] = [new AbortController(), new AbortController()];
  const asked = [first, second].map(({ signal }) => work.run('risk', input('a'), signal));
  const ended = Promise.allSettled(asked);
  first.abort();
  expect(begun[0]?.signal.aborted).toBe(false);
  second.abort();
  expect(begun[0]?.signal.aborted).toBe(true);
  // Somebody who comes right then is not told of the one that was stopped.
  const late = work.run('risk', input('a'));
  await ended;
  begun[1]?.done(8);
  expect(await late).toBe(8);
});

it('goes on for somebody who does not leave, whoever else does', () => {
  const { begun, work } = fakePool();
  const gone = new AbortController();
  void work.run('risk', input('a'));
  void work.run('risk', input('a'), gone.signal);
  gone.abort();
  expect(begun[0]?.signal.aborted).toBe(false);
});

it('sends away who would wait too long', async () => {
  const { begun, work } = fakePool(MAX_WAITING);
  await expect(work.run('risk', input('a'))).rejects.toMatchObject({ code: 'busy' });
  expect(begun).toHaveLength(0);
});

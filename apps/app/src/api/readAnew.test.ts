import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { readAnew } from './readAnew';

/** A list that is read when the test says so: each reading brings what stood when it began. */
function list() {
  const client = new QueryClient();
  const answers: (() => void)[] = [];
  let stored = 'before';
  const observer = new QueryObserver(client, {
    queryKey: ['list'],
    queryFn: () => {
      const seen = stored;
      return new Promise<string>((answer) => {
        answers.push(() => {
          answer(seen);
        });
      });
    },
  });
  observer.subscribe(() => undefined);
  return {
    client,
    shown: () => observer.getCurrentResult().data,
    store: (value: string) => {
      stored = value;
    },
    answer: async () => {
      answers.shift()?.();
      await new Promise((after) => setTimeout(after));
    },
    waiting: () => answers.length,
  };
}

it('reads once more what was first read while it changed', async () => {
  const { client, shown, store, answer, waiting } = list();
  store('after');
  const done = readAnew(client);
  await answer();
  expect(shown()).toBe('before');
  await answer();
  await done;
  expect([shown(), waiting()]).toEqual(['after', 0]);
});

it('reads once what is there already, and nothing that was not asked for', async () => {
  const { client, shown, store, answer, waiting } = list();
  await answer();
  store('after');
  await readAnew(client, { queryKey: ['other'] });
  expect([shown(), waiting()]).toEqual(['before', 0]);
  const done = readAnew(client, { queryKey: ['list'] });
  await answer();
  await done;
  expect([shown(), waiting()]).toEqual(['after', 0]);
});

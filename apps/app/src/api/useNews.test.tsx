import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { keys } from './keys';
import { onRunNews } from './runNews';
import { useNews } from './useNews';

/** A stream as the browser gives it, told by the test. */
class FakeStream {
  static readonly CLOSED = 2;
  static all: FakeStream[] = [];
  readyState = 1;
  onopen = (): void => undefined;
  onerror = (): void => undefined;
  onmessage = (_event: { readonly data: string }): void => undefined;
  constructor(readonly url: string) {
    FakeStream.all.push(this);
  }
  close(): void {
    this.readyState = FakeStream.CLOSED;
  }
}
const streams = (): readonly FakeStream[] => FakeStream.all;
const open = (): readonly FakeStream[] =>
  FakeStream.all.filter(({ readyState }) => readyState !== FakeStream.CLOSED);

let sight: DocumentVisibilityState;
const turn = (to: DocumentVisibilityState): void => {
  sight = to;
  document.dispatchEvent(new Event('visibilitychange'));
};

beforeEach(() => {
  FakeStream.all = [];
  sight = 'visible';
  Object.assign(globalThis, { EventSource: FakeStream });
  jest.spyOn(document, 'visibilityState', 'get').mockImplementation(() => sight);
  jest.useFakeTimers();
});
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'EventSource');
  jest.restoreAllMocks();
  jest.useRealTimers();
});

function listening(isIn = true) {
  const client = new QueryClient();
  for (const key of [keys.job('j1'), keys.job('j2'), keys.runs(), keys.bits()])
    client.setQueryData(key, {});
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const stale = (key: readonly unknown[]): boolean =>
    client.getQueryState(key)?.isInvalidated ?? false;
  return {
    stale,
    ...renderHook(
      () => {
        useNews(isIn);
      },
      { wrapper },
    ),
  };
}

it('reads anew what the news is about, and only that', () => {
  const { stale } = listening();
  const ran = jest.fn();
  const stop = onRunNews('r1', ran);
  act(() => {
    streams()[0]?.onmessage({ data: '[{"kind":"job","id":"j1"}]' });
  });
  expect([stale(keys.job('j1')), stale(keys.job('j2')), stale(keys.bits())]).toEqual([
    true,
    false,
    false,
  ]);
  act(() => {
    streams()[0]?.onmessage({ data: '[{"kind":"run","id":"r1"},{"kind":"run","id":"r2"}]' });
  });
  expect(ran).toHaveBeenCalledTimes(1);
  expect([stale(keys.runs()), stale(keys.bits())]).toEqual([true, false]);
  stop();
});

it('lets the stream go while nobody looks, and reads everything anew when it is back', () => {
  const { stale, unmount } = listening();
  act(() => {
    streams()[0]?.onopen();
  });
  expect(stale(keys.bits())).toBe(false);
  turn('hidden');
  expect(open()).toHaveLength(0);
  turn('visible');
  expect(open()).toHaveLength(1);
  act(() => {
    streams()[1]?.onopen();
  });
  expect(stale(keys.bits())).toBe(true);
  unmount();
  expect(open()).toHaveLength(0);
});

it('asks again where it was refused, and leaves a broken line to the browser', () => {
  listening();
  streams()[0]?.onerror();
  jest.advanceTimersByTime(60_000);
  expect(streams()).toHaveLength(1);
  streams()[0]?.close();
  streams()[0]?.onerror();
  jest.advanceTimersByTime(9_000);
  expect(streams()).toHaveLength(1);
  jest.advanceTimersByTime(2_000);
  expect(streams()).toHaveLength(2);
});

it('does not listen for somebody who is not in', () => {
  listening(false);
  expect(streams()).toHaveLength(0);
});

import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { heardOfRun } from '../../api/runNews';
import { fetchRun } from '../../api/runs';
import { emptyDevice, opening } from '../../testingRuns';
import { openRun } from './runStore';
import { useRunSync } from './useRunSync';

jest.mock('../../api/runs', () => ({ fetchRun: jest.fn() }));
jest.mock('./sendRun', () => ({ sendRun: () => Promise.resolve(0) }));
const fetched = jest.mocked(fetchRun);

it('asks once more where it hears of the run while it is asking', async () => {
  await emptyDevice();
  const runId = openRun(opening());
  const answers: (() => void)[] = [];
  fetched.mockImplementation(
    () =>
      new Promise((resolve) => {
        answers.push(() => {
          resolve({ upTo: 0, events: [] } as never);
        });
      }),
  );
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
  );
  const { result, unmount } = renderHook(() => useRunSync(runId), { wrapper });
  await waitFor(() => {
    expect(answers.length).toBeGreaterThan(0);
  });
  const begun = answers.length;
  // Written after the server had read what it is about to answer.
  act(() => {
    heardOfRun(runId);
  });
  expect(answers).toHaveLength(begun);
  act(() => {
    answers.at(-1)?.();
  });
  // At once, not when it would have asked by itself.
  await waitFor(
    () => {
      expect(answers).toHaveLength(begun + 1);
    },
    { timeout: 5000 },
  );
  act(() => {
    answers.at(-1)?.();
  });
  await waitFor(() => {
    expect(result.current).not.toEqual({ kind: 'fetching' });
  });
  unmount();
});

import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { fetchRun } from '../../api/runs';
import { ApiProblem, Unreachable } from '../../api/problem';
import { listenForOnline } from './listenForOnline';
import { useRuns } from './runStore';
import { sendRun } from './sendRun';

const RETRY_MS = 2500;
/** Another device may have taken over, or added a sign. */
const ASK_MS = 2000;

export type RunSync =
  | { readonly kind: 'fetching' | 'sending' | 'sent' | 'away' }
  /** The run is on neither this device nor the server. */
  | { readonly kind: 'unknown' }
  /** The server will not have something: it stays on the device. */
  | { readonly kind: 'refused'; readonly message: string };

/**
 * Keeps a run’s record on the device and on the server the same: what is new here is sent, again and again
 * until it is taken; what is new there is fetched. Never stands in the way of drilling.
 */
export function useRunSync(runId: string): RunSync {
  const client = useQueryClient();
  const [sync, setSync] = useState<RunSync>({ kind: 'fetching' });
  const unsent = useRuns(({ known }) => known[runId]?.filter(({ sent }) => !sent).length ?? 0);
  const refused = useRef(new Set<string>());
  const wake = useRef<() => void>(() => undefined);

  useEffect(() => {
    const left = new AbortController();
    const gone = (): boolean => left.signal.aborted;
    let upTo = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let busy = false;

    const send = async (): Promise<void> => {
      const { known } = useRuns.getState();
      if (known[runId]?.some(({ sent, event }) => !sent && !refused.current.has(event.id)))
        setSync({ kind: 'sending' });
      if ((await sendRun(runId, refused.current)) === 0) return;
      void client.invalidateQueries({ queryKey: ['runs'] });
      void client.invalidateQueries({ queryKey: ['job'] });
    };
    const fetchNew = async (): Promise<void> => {
      const detail = await fetchRun(runId, upTo);
      upTo = detail.upTo;
      useRuns.getState().take(runId, detail.events, []);
    };
    const round = async (): Promise<void> => {
      clearTimeout(timer);
      if (busy || gone()) return;
      busy = true;
      let nextMs = ASK_MS;
      try {
        await send();
        await fetchNew();
        if (!gone())
          setSync(refused.current.size > 0 ? refusedSync(refused.current.size) : { kind: 'sent' });
      } catch (error) {
        nextMs = RETRY_MS;
        if (!gone()) setSync(troubleOf(error, runId));
      }
      busy = false;
      if (!gone()) timer = setTimeout(() => void round(), nextMs);
    };
    wake.current = () => void round();
    useRuns.getState().load(runId);
    void round();
    const back = (): void => void round();
    listenForOnline('add', back);
    return () => {
      left.abort();
      clearTimeout(timer);
      listenForOnline('remove', back);
    };
  }, [runId, client]);

  useEffect(() => {
    if (unsent > 0) wake.current();
  }, [unsent]);
  return sync;
}

const refusedSync = (count: number): RunSync => ({
  kind: 'refused',
  message: `The server will not have ${count} of this run’s entries: they stay on this device.`,
});

function troubleOf(error: unknown, runId: string): RunSync {
  if (error instanceof ApiProblem)
    return error.body.code === 'not-found' && (useRuns.getState().known[runId] ?? []).length === 0
      ? { kind: 'unknown' }
      : { kind: 'refused', message: error.body.detail };
  return error instanceof Unreachable
    ? { kind: 'away' }
    : { kind: 'refused', message: 'The record could not be sent.' };
}

import { keys } from '../../api/keys';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { fetchRun } from '../../api/runs';
import { onRunNews } from '../../api/runNews';
import { ApiProblem } from '../../api/problem';
import { listenForOnline } from './listenForOnline';
import { useRuns, type KnownEvent } from './runStore';
import { sendRun } from './sendRun';
import { readAnew } from '../../api/readAnew';

const RETRY_MS = 2500;
/** Another device may have taken over, or added a sign: heard of as it does, and asked for in case it was not. */
const ASK_MS = 15_000;

export type RunSync =
  /** writing: the last tap is not on this device's disk yet. */
  | { readonly kind: 'fetching' | 'writing' | 'sending' | 'sent' | 'away' }
  /** The run is on neither this device nor the server. */
  | { readonly kind: 'unknown' }
  /** The server will not have something: it stays on the device. */
  | { readonly kind: 'refused'; readonly count: number };

const NONE: readonly KnownEvent[] = [];

/**
 * Keeps a run’s record on the device and on the server the same: what is new here is sent, again and again
 * until it is taken or refused; what is new there is fetched. Never stands in the way of drilling.
 */
export function useRunSync(runId: string): RunSync {
  const client = useQueryClient();
  const [last, setLast] = useState<'fetching' | 'answered' | 'away' | 'unknown'>('fetching');
  const known = useRuns((runs) => runs.known[runId] ?? NONE);
  const wake = useRef<() => void>(() => undefined);
  const waiting = known.filter(({ sent, refused }) => !sent && refused === null).length;

  useEffect(() => {
    const left = new AbortController();
    const gone = (): boolean => left.signal.aborted;
    let upTo = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let busy = false;
    let asked = 0;

    const send = async (): Promise<void> => {
      if ((await sendRun(runId)) === 0) return;
      void readAnew(client, { queryKey: keys.runs() });
      void readAnew(client, { queryKey: keys.job() });
      void readAnew(client, { queryKey: keys.learning() });
    };
    const fetchNew = async (): Promise<void> => {
      const detail = await fetchRun(runId, upTo);
      upTo = detail.upTo;
      useRuns.getState().take(runId, detail.events, []);
    };
    const round = async (): Promise<void> => {
      asked++;
      clearTimeout(timer);
      if (busy || gone()) return;
      busy = true;
      let nextMs = ASK_MS;
      // Asked again meanwhile: what came up since is not in what was sent or read.
      for (let begun = 0; begun !== asked && nextMs === ASK_MS && !gone();) {
        begun = asked;
        try {
          await send();
          await fetchNew();
          if (!gone()) setLast('answered');
        } catch (error) {
          nextMs = RETRY_MS;
          const isUnknown = error instanceof ApiProblem && error.body.code === 'not-found';
          if (!gone()) setLast(isUnknown ? 'unknown' : 'away');
        }
      }
      busy = false;
      if (!gone()) timer = setTimeout(() => void round(), nextMs);
    };
    wake.current = () => void round();
    void useRuns.getState().load(runId).then(round);
    const back = (): void => void round();
    listenForOnline('add', back);
    const deaf = onRunNews(runId, back);
    return () => {
      deaf();
      left.abort();
      clearTimeout(timer);
      listenForOnline('remove', back);
    };
  }, [runId, client]);

  useEffect(() => {
    if (waiting > 0) wake.current();
  }, [waiting]);

  const count = known.filter(({ refused }) => refused !== null).length;
  if (count > 0) return { kind: 'refused', count };
  if (last === 'fetching') return { kind: 'fetching' };
  if (last === 'unknown' && known.length === 0) return { kind: 'unknown' };
  if (known.some(({ kept, sent }) => !kept && !sent)) return { kind: 'writing' };
  if (last === 'away' || last === 'unknown') return { kind: 'away' };
  return { kind: waiting > 0 ? 'sending' : 'sent' };
}

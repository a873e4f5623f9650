import type { RunResult } from '@nucleon/core/documents/runResult';
import type { RunState } from '@nucleon/core/run/runState';
import { useMemo } from 'react';
import { dropFromDevice } from '../draft/keptOnDevice';
import { useVersionedDraft, type DraftHandle } from '../draft/useVersionedDraft';
import { oneDocument } from '../draft/versionedDraft';
import type { LiveRun } from '../run/useRun';

/** A result as far as it was said, and how often one was kept for its run. */
export type ResultContent = Partial<RunResult> & { readonly version: number };

export interface ResultDraft {
  readonly handle: DraftHandle<ResultContent>;
  readonly result: Partial<RunResult>;
  readonly change: (fields: Partial<RunResult>) => void;
  /** A length that was taken out again is not known any more. */
  readonly forget: (field: keyof RunResult) => void;
  /** The result as it is to be kept; null while it is not said how the hole is and whether it cracked. */
  readonly whole: RunResult | null;
  readonly keep: (whole: RunResult) => void;
}

const KIND = 'result';
const engine = oneDocument<ResultContent>();
const isContent = (kept: unknown): kept is ResultContent =>
  typeof (kept as Partial<ResultContent> | null)?.version === 'number';

/** What a run that cracked starts from; else nothing is presumed. */
const startOf = ({ result, phase }: Pick<RunState, 'result' | 'phase'>): Partial<RunResult> =>
  result ?? (phase === 'cracked' ? { crack: 'hairline', verdict: 'spoiled' } : {});

/**
 * The result of a run while it is said: kept on the device until it is kept in the run’s record, with undo, and put
 * together with what another device recorded meanwhile. A record only grows, so nothing is written before a press.
 */
export function useResultDraft({ runId, state, events, act }: LiveRun): ResultDraft {
  const { result: kept, phase } = state;
  const version = events.filter((event) => event.act.kind === 'result').length;
  const start = useMemo(
    () => ({ ...startOf({ result: kept, phase }), version }),
    [kept, phase, version],
  );
  const handle = useVersionedDraft<ResultContent>(
    { engine, kind: KIND, id: runId, isContent },
    start,
  );
  const { draft, dispatch } = handle;
  const edit = (group: string, change: (now: ResultContent) => ResultContent): void => {
    dispatch({ type: 'edit', change, group, atMs: Date.now() });
  };
  const { version: _version, ...result } = draft.now;
  return {
    handle,
    result,
    change: (fields) => {
      edit(Object.keys(fields).join(), (now) => ({ ...now, ...fields }));
    },
    forget: (field) => {
      edit(field, ({ [field]: _was, ...now }) => now);
    },
    whole: isWhole(result) ? tidy(result) : null,
    keep: (whole) => {
      act({ kind: 'result', result: whole });
      dropFromDevice(KIND, runId);
    },
  };
}

const isWhole = (result: Partial<RunResult>): result is RunResult =>
  result.verdict !== undefined && result.crack !== undefined;

/** Without what was emptied again. */
function tidy({ note, photoIds, ...rest }: RunResult): RunResult {
  return {
    ...rest,
    ...(note?.trim() ? { note: note.trim() } : {}),
    ...(photoIds && photoIds.length > 0 ? { photoIds } : {}),
  };
}

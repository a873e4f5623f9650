import { apiWords } from '@nucleon/core/words/screens/api';
import { useEffect, useReducer } from 'react';
import { ApiProblem, Unreachable } from '../../api/problem';
import { useMayWork } from '../../ui/mayWork';
import { dropFromDevice, keepOnDevice, keptOnDevice } from './keptOnDevice';
import { useSaveWhenResting } from './useSaveWhenResting';
import type {
  DraftAction,
  DraftEngine,
  SaveState,
  Unsaved,
  VersionedDraft,
} from './versionedDraft';

export interface DraftHandle<T> {
  readonly draft: VersionedDraft<T>;
  readonly dispatch: (action: DraftAction<T>) => void;
}

/** What is edited, and how the device knows it again. */
export interface DraftRoom<T> {
  readonly engine: DraftEngine<T>;
  /** Its shelf on the device. */
  readonly kind: string;
  readonly id: string;
  /** Whether what the device has kept is of this shape still. */
  readonly isContent: (kept: unknown) => kept is T;
}

function unsavedOf<T>({ kind, id, isContent }: DraftRoom<T>): Unsaved<T> | undefined {
  const kept = keptOnDevice(kind, id);
  if (typeof kept !== 'object' || kept === null) return undefined;
  const { base, now, unanswered = [] } = kept as Partial<Unsaved<unknown>>;
  return isContent(base) && isContent(now)
    ? { base, now, unanswered: unanswered.filter(isContent) }
    : undefined;
}

/**
 * A draft of what the server has, kept on the device until the server has it too.
 * @param stored as it was last read; a newer reading is put together with what stands here
 */
export function useVersionedDraft<T>(room: DraftRoom<T>, stored: T): DraftHandle<T> {
  const { engine, kind, id } = room;
  const mayWork = useMayWork();
  const [draft, dispatch] = useReducer(engine.reduce, null, () =>
    engine.open(stored, mayWork ? unsavedOf(room) : undefined),
  );
  useEffect(() => {
    dispatch({ type: 'heard', stored });
  }, [stored]);
  useEffect(() => {
    // What somebody who may work left here is theirs still.
    if (!mayWork) return;
    const { stored: base, now, unanswered } = draft;
    if (engine.due(draft)) keepOnDevice(kind, id, { base, now, unanswered });
    else dropFromDevice(kind, id);
  }, [engine, draft, kind, id, mayWork]);
  return { draft, dispatch };
}

export interface DraftWriter<T> {
  /** Writes what is due and tells of each step that is done; throws what the API threw. */
  readonly write: (draft: VersionedDraft<T>, done: (sent: T, stored: T) => void) => Promise<void>;
  /** What the server has now, after it told of a conflict. */
  readonly read: (problem: ApiProblem, draft: VersionedDraft<T>) => Promise<T>;
  /** false while its values clash: nothing half-made is sent. */
  readonly sound: boolean;
}

/**
 * Saves a draft by itself when typing or moving rests, and tries again while the server is away. Whoever only reads
 * tries things out: nothing is sent.
 */
export function useDraftSave<T>(
  { draft, dispatch }: DraftHandle<T>,
  { write, read, sound }: DraftWriter<T>,
): void {
  const mayWork = useMayWork();
  useSaveWhenResting(draft, sound && mayWork, async () => {
    dispatch({ type: 'saving' });
    let written = 0;
    try {
      await write(draft, (sent, stored) => {
        written++;
        dispatch({ type: 'saved', sent, stored });
      });
      if (written === 0) dispatch({ type: 'unwritten' });
    } catch (error) {
      if (!isConflict(error))
        dispatch({
          type: 'failed',
          save: stateOf(error),
          ...(error instanceof Unreachable ? { sent: draft.now } : {}),
        });
      else
        await read(error, draft).then(
          (stored) => {
            dispatch({ type: 'failed', save: { kind: 'waiting' } });
            dispatch({ type: 'heard', stored });
          },
          (again: unknown) => {
            dispatch({ type: 'failed', save: stateOf(again) });
          },
        );
    }
  });
}

const isConflict = (error: unknown): error is ApiProblem =>
  error instanceof ApiProblem && error.body.code === 'conflict';

function stateOf<T>(error: unknown): SaveState<T> {
  if (error instanceof ApiProblem)
    return error.body.code === 'gone'
      ? { kind: 'gone', message: error.body.detail }
      : { kind: 'refused', message: error.body.detail };
  return {
    kind: 'unreachable',
    message: error instanceof Unreachable ? error.message : apiWords.theServerCannotBe,
  };
}

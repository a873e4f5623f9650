import { apiWords } from '@nucleon/core/words/screens/api';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { sentenceOf } from './problem';
import { readAnew } from './readAnew';
import { useUndo } from '../ui/undoStore';

export interface Write<I> {
  readonly run: (input: I) => void;
  readonly busy: boolean;
  /** What went wrong, as a sentence; empty while nothing did. */
  readonly trouble: string;
  readonly error: Error | null;
  readonly forget: () => void;
}

interface AfterWrite<I, R> {
  /** Said where the server has no sentence of its own. */
  readonly otherwise?: string;
  /** At once; what it changed is read anew after it. */
  readonly done?: (result: R, input: I) => void;
}

/**
 * Something that writes to the server. What a write touches shows in lists, plans and other rooms too, so all
 * that is on the screen is read anew after it; after a refusal as well, for the server may know better.
 */
export function useWrite<I = void, R = unknown>(
  write: (input: I) => Promise<R>,
  { otherwise = apiWords.itWasNotSaved, done }: AfterWrite<I, R> = {},
): Write<I> {
  const client = useQueryClient();
  const { mutate, isPending, error, reset } = useMutation({
    mutationFn: write,
    onSuccess: done,
    onSettled: () => readAnew(client),
  });
  return {
    run: mutate,
    busy: isPending,
    trouble: error ? sentenceOf(error) || otherwise : '',
    error,
    forget: reset,
  };
}

export interface Deletion {
  readonly name: string;
  readonly remove: () => Promise<unknown>;
  readonly restore: () => Promise<unknown>;
}

/** Deletes something and offers it back at the foot of the screen. */
export function useDelete(done: () => void = () => undefined, from = ''): Write<Deletion> {
  const client = useQueryClient();
  const showUndo = useUndo((state) => state.show);
  return useWrite(({ remove }: Deletion) => remove(), {
    otherwise: apiWords.itCouldNotBe,
    done: (_gone, { name, restore }) => {
      done();
      showUndo({
        message: apiWords.deleted(name, from),
        undo: async () => {
          await restore();
          await readAnew(client);
        },
      });
    },
  });
}

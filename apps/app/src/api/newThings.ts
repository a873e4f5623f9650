import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { fetchJson } from './fetchJson';
import { ApiProblem, Unreachable } from './problem';

/** Something new that the server has not been told of, where it is to be put. */
export interface NewThing {
  readonly path: string;
  readonly body: { readonly version: number };
}

interface NewThings {
  /** In the order they were made: a piece after its job. */
  readonly waiting: readonly NewThing[];
  /** What the server would not have, as a sentence; null where all is well. */
  readonly refused: string | null;
}

/** What was made while the server did not answer; kept on the device until it does. */
export const useNewThings = create<NewThings>()(
  persist((): NewThings => ({ waiting: [], refused: null }), {
    name: 'nucleon.new-things',
    storage: createJSONStorage(() => globalThis.localStorage),
  }),
);

export const forgetRefusal = (): void => {
  useNewThings.setState({ refused: null });
};

/** Puts something whose id was made here: that it is there already means an earlier try of ours got through. */
async function put({ path, body }: NewThing): Promise<void> {
  try {
    await fetchJson(path, { method: 'PUT', body });
  } catch (error) {
    if (!(error instanceof ApiProblem && error.body.code === 'conflict')) throw error;
  }
}

let sending: Promise<void> | null = null;

/** Sends what waits, the oldest first, until nobody answers. What is refused is told and let go of. */
export function sendNewThings(): Promise<void> {
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

async function sendAll(): Promise<void> {
  for (
    let [next] = useNewThings.getState().waiting;
    next !== undefined;
    [next] = useNewThings.getState().waiting
  ) {
    const sent = next;
    let refused: string | null = null;
    try {
      await put(sent);
    } catch (error) {
      if (!(error instanceof ApiProblem)) return;
      refused = error.message;
    }
    useNewThings.setState((was) => ({
      waiting: was.waiting.filter((one) => one !== sent),
      refused: refused ?? was.refused,
    }));
  }
}

/** Nothing is written over what the server has not heard of yet. */
export async function afterNewThings(): Promise<void> {
  if (useNewThings.getState().waiting.length === 0) return;
  await sendNewThings();
  if (useNewThings.getState().waiting.length > 0) throw new Unreachable('server');
}

/**
 * Makes new things on the server, in this order, or keeps them until the server answers: the first that nobody takes
 * and all after it, without asking for each.
 * @returns whether all are there; false where some wait
 */
export async function putNew(...things: readonly NewThing[]): Promise<boolean> {
  let made = 0;
  try {
    await afterNewThings();
    for (; made < things.length; made++) await put(things[made] as NewThing);
    return true;
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    const left = things.slice(made);
    useNewThings.setState(({ waiting }) => ({
      // Made again from the same answers it is the same thing.
      waiting: [...waiting.filter(({ path }) => !left.some((one) => one.path === path)), ...left],
    }));
    return false;
  }
}

/** As a new thing stands before the server has stamped it. */
export const asStored = <T extends object>(
  thing: T,
  at: Date,
): T & { readonly version: number; readonly updatedAt: string } => ({
  ...thing,
  version: 1,
  updatedAt: at.toISOString(),
});

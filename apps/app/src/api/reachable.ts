import { create } from 'zustand';

interface Reachable {
  /** Whether the server answered when it was last asked. */
  readonly answered: boolean;
}

export const useReachable = create<Reachable>()(() => ({ answered: true }));

/** Notes what came of asking. */
export const noteAnswered = (answered: boolean): void => {
  if (useReachable.getState().answered !== answered) useReachable.setState({ answered });
};

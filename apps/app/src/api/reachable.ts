import { create } from 'zustand';

interface Reachable {
  /** Whether the server answered when it was last asked. */
  readonly answered: boolean;
  /** How often the server has asked who this is. */
  readonly asked: number;
}

export const useReachable = create<Reachable>()(() => ({ answered: true, asked: 0 }));

/** Notes what came of asking. */
export const noteAnswered = (answered: boolean): void => {
  if (useReachable.getState().answered !== answered) useReachable.setState({ answered });
};

/** Notes that the server wants to know who asks. */
export const noteAskedWho = (): void => {
  useReachable.setState(({ asked }) => ({ asked: asked + 1 }));
};

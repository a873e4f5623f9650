import { runWords } from '@nucleon/core/words/screens/run';
import { canMeasure, type RunState } from '@nucleon/core/run/runState';
import { useKeys } from '../../ui/useKeys';
import type { RunSheet } from './runSheet';
import type { LiveRun } from './useRun';

interface RunKeys {
  readonly state: RunState;
  readonly drives: boolean;
  readonly act: LiveRun['act'];
  readonly pressMain: () => void;
  readonly undo: () => void;
  readonly toggle: (name: RunSheet) => () => void;
  readonly hasEnd: boolean;
}

/** Keys, also those that foot pedals send. */
export function useRunKeys({ state, drives, act, pressMain, undo, toggle, hasEnd }: RunKeys): void {
  const pause = (): void => {
    if (drives && state.phase !== 'paused') act({ kind: 'pause' });
  };
  useKeys([
    { key: ' ', does: runWords.startPauseGoOn, run: pressMain },
    { key: 'PageDown', does: runWords.startPauseGoOn, run: pressMain },
    { key: 'ArrowRight', does: runWords.startPauseGoOn, run: pressMain },
    { key: 'PageUp', does: runWords.pauseKey, run: pause },
    { key: 'ArrowLeft', does: runWords.pauseKey, run: pause },
    {
      key: 't',
      does: runWords.itIsThrough,
      run: () => {
        if (drives && hasEnd) act({ kind: 'through' });
      },
    },
    {
      key: 'm',
      does: runWords.iMeasured,
      run: () => {
        if (drives && canMeasure(state)) toggle('measure')();
      },
    },
    { key: 's', does: runWords.signsKey, run: toggle('signs') },
    { key: 'u', does: runWords.takeBackKey, run: undo },
  ]);
}

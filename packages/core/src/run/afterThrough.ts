import type { RunState } from './runState';
import { type RunPhase } from '../data/phases';

/** A rim that got hotter than this is let cool before the next hole, K. */
const COOL_FIRST_K = 30;

/** The step that follows one of those after the cut. */
export function afterPhase(state: RunState): RunState {
  return { ...state, phase: following(state) };
}

function following(state: RunState): RunPhase {
  const { setup } = state.plan;
  const hasCore = !setup.solid && !isRing(state);
  const order: readonly RunPhase[] = [
    'through',
    'withdraw',
    ...(hasCore ? (['free-core'] as const) : []),
    ...(state.hot || state.plan.tempRiseK >= COOL_FIRST_K ? (['cool'] as const) : []),
    'clean',
    'done',
  ];
  return order[order.indexOf(state.phase) + 1] ?? 'done';
}

/** The core is to stay standing. */
const isRing = ({ plan }: RunState): boolean =>
  !plan.setup.solid && !plan.steps.some(({ kind }) => kind === 'free-core');

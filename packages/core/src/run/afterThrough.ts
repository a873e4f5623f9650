import { phaseAt } from './advance';
import { priorRate } from './rateBelief';
import { legOf, type RunState } from './runState';
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

/** The next bit, or the other face, from its own zero; what was learnt of the rate goes with it on the same bit. */
export function enterLeg(state: RunState, leg: number): RunState {
  const sameBit = state.legs[leg]?.bitName === legOf(state).bitName;
  const next: RunState = {
    ...state,
    leg,
    depthMm: 0,
    anchor: { depthMm: 0, sdMm: 0 },
    workS: 0,
    stopsDone: [],
    forceFactor: 1,
    rate: sameBit ? state.rate : priorRate(state.plan.clock.sd),
  };
  return { ...next, phase: phaseAt(legOf(next), 0) };
}

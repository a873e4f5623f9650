import type { Help } from '../../data/operations';
import { PHASES } from '../../data/phases';
import type { UnitSystem } from '../../data/unitSystem';
import { comingUp } from '../../run/runFigures';
import { isCutting, isOver, legOf, type RunState } from '../../run/runState';
import { HELP_WORDS, type HelpMoment } from '../plan/helpWords';
import { formatLengthShort } from '../units/length';
import { runView } from './runView';

/** What a second person’s own device says now. */
export interface HelperView {
  readonly line: string;
  readonly detail: string;
}

function momentOf(state: RunState): HelpMoment {
  if (state.phase === 'prepare') return 'ready';
  if (state.phase === 'lift') return 'lift';
  if (state.phase === 'ease-off' || PHASES[state.phase].after) return 'ending';
  return isCutting(state) ? 'cutting' : 'stopped';
}

/** The second person’s part, where the operation has one: what to do, what the other does, what comes. */
export function helperView(state: RunState, units: UnitSystem): HelperView | null {
  const { helper } = legOf(state);
  if (helper === null || isOver(state)) return null;
  return {
    line: HELP_WORDS[helper].now[momentOf(state)],
    detail: `At the drill: ${runView(state, units).line}.${ahead(helper, state, units)}`,
  };
}

/** What this helper has to be ready for: the one who watches the mark its depth, the one at the water its end. */
function ahead(helper: Help, state: RunState, units: UnitSystem): string {
  const next = comingUp(state);
  if (!next) return '';
  if (helper === 'water' && next.kind === 'water-off') return ' Shut it when it is called.';
  if (helper !== 'depth-mark') return '';
  const { strokes, depthMm } = legOf(state);
  // Lifts call themselves: the mark is for where it is eased off, or ends.
  const ease = strokes.find(({ kind, fromMm }) => kind === 'exit' && fromMm > state.depthMm);
  return ` Call ${formatLengthShort(Math.round((ease?.fromMm ?? depthMm) * 10) / 10, units)}.`;
}

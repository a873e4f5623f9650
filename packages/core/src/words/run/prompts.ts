import { formatForce } from '../units/formatQuantity';
import type { UnitSystem } from '../../data/unitSystem';
import { comingUp, forceNow } from '../../run/runFigures';
import { helperView } from './helperView';
import { runView } from './runView';
import type { RunState } from '../../run/runState';
import type { RunPhase } from '../../data/phases';

/** Each has a tone and a beat of its own. */
export const CUES = ['lift', 'water', 'ease-off', 'stop', 'go', 'soon'] as const;
export type Cue = (typeof CUES)[number];

export interface Prompt {
  readonly cue: Cue;
  /** What is spoken. */
  readonly words: string;
}

const CUE_OF: Partial<Record<RunPhase, Cue>> = {
  lift: 'lift',
  'water-change': 'water',
  'ease-off': 'ease-off',
  'core-break': 'stop',
  chisel: 'stop',
  bar: 'go',
  flip: 'stop',
  'step-change': 'stop',
  through: 'stop',
  paused: 'stop',
  cracked: 'stop',
  aborted: 'stop',
  cool: 'stop',
  cut: 'go',
  seat: 'go',
};

/** So long before a stop it is announced, s. */
const AHEAD_S = 5;

/**
 * What to call out as the run goes from one moment to the next, to the one who drills or on the second person’s
 * own device; null where nothing changed.
 */
export function promptBetween(
  before: RunState,
  now: RunState,
  units: UnitSystem,
  to: 'driller' | 'helper' = 'driller',
): Prompt | null {
  const help = to === 'helper' ? helperView(now, units) : null;
  if (before.phase !== now.phase) {
    const cue = CUE_OF[now.phase];
    if (!cue) return null;
    if (help) return { cue, words: help.line };
    const force = forceNow(now);
    return {
      cue,
      words:
        cue === 'go' && force !== null && now.phase !== 'bar'
          ? `${before.phase === 'lift' ? 'Down again' : 'Press'}, ${formatForce(force, units)}`
          : runView(now, units).line,
    };
  }
  const [was, next] = [comingUp(before), comingUp(now)];
  if (!was || !next || next.kind === 'end' || next.inS === null || was.inS === null) return null;
  const sameStop = was.depthMm === next.depthMm;
  return sameStop && was.inS > AHEAD_S && next.inS <= AHEAD_S
    ? { cue: 'soon', words: `${SOON[next.kind]} in five seconds` }
    : null;
}

const SOON = {
  lift: 'Lift',
  'water-change': 'Water',
  'core-break': 'Core',
  'step-change': 'Next bit',
  flip: 'Half way',
  'water-off': 'Water off',
  'ease-off': 'Ease off',
  'nearly-through': 'Nearly through',
} as const;

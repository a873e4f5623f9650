import type { UnitSystem } from '../../data/unitSystem';
import type { RunState } from '../../run/runState';
import { formatLengthShort } from '../units/length';
import { runView } from './runView';

/** A run in two lines, on whatever screen one is: what it is of, and what is to do now. */
export interface RunBarWords {
  readonly of: string;
  readonly now: string;
}

export function runBarWords(state: RunState, units: UnitSystem): RunBarWords {
  const { subject, depthMm } = state;
  const { line, left } = runView(state, units);
  const at = formatLengthShort(Math.round(depthMm * 10) / 10, units);
  return {
    of: `${subject.holeName}, ${subject.pieceName}`,
    now: [line, ...(depthMm > 0 ? [`at ${at}`] : []), ...(left === '' ? [] : [left])].join(' · '),
  };
}

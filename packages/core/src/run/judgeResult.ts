import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../words/units/unitSystem';
import type { RunResult } from '../documents/runResult';
import { wayDown } from './runFigures';
import type { RunState } from './runState';

export const RESULT_FLAG_CODES = [
  'crack-not-seen',
  'fine-but-cracked',
  'fine-but-given-up',
  'exit-of-blind',
  'narrower-than-bit',
  'far-wider-than-bit',
  'chip-wider-than-hole',
  'fits-but-not-through',
  'chip-beyond-plan',
] as const;
export type ResultFlagCode = (typeof RESULT_FLAG_CODES)[number];

/** Something a result says that the run does not bear out: it is kept as it was said, with this beside it. */
export interface ResultFlag {
  readonly code: ResultFlagCode;
  readonly message: string;
}

/** A hole measures this much under its bit by wear and reading, mm. */
const MEASURING_MM = 0.3;
/** More over its bit than this is not run-out but another bit. */
const FAR_WIDER = 1.25;
/** So much of the way is as good as through. */
const AS_GOOD_AS_THROUGH = 0.98;

type Judge = (result: RunResult, state: RunState, units: UnitSystem) => string | null;

const JUDGES: Readonly<Record<ResultFlagCode, Judge>> = {
  'crack-not-seen': ({ crack }, { phase }) =>
    phase === 'cracked' && crack === 'none'
      ? 'The run ended with a crack; the result says there is none.'
      : null,
  'fine-but-cracked': ({ verdict, crack }) =>
    verdict === 'fine' && crack !== 'none' ? 'Called fine, with a crack.' : null,
  'fine-but-given-up': ({ verdict }, state) =>
    verdict === 'fine' && state.phase === 'aborted'
      ? 'The run was given up; the result says fine.'
      : null,
  'exit-of-blind': ({ exitDiameterMm, exitChipMm }, { plan }) =>
    plan.exitForceN === null && (exitDiameterMm !== undefined || exitChipMm !== undefined)
      ? 'A hole that does not go through has no exit to measure.'
      : null,
  'narrower-than-bit': ({ entryDiameterMm: d }, { plan }, units) =>
    d !== undefined && d < plan.setup.bitDiameterMm - MEASURING_MM
      ? `${formatLengthShort(d, units)} across is less than the bit, ${formatLengthShort(plan.setup.bitDiameterMm, units)}.`
      : null,
  'far-wider-than-bit': ({ entryDiameterMm: d }, { plan }, units) =>
    d !== undefined && d > plan.setup.bitDiameterMm * FAR_WIDER
      ? `${formatLengthShort(d, units)} across is far more than the bit, ${formatLengthShort(plan.setup.bitDiameterMm, units)}: was it this bit?`
      : null,
  'chip-wider-than-hole': ({ entryChipMm = 0, exitChipMm = 0 }, { plan }, units) =>
    Math.max(entryChipMm, exitChipMm) > plan.setup.bitDiameterMm
      ? `A chip of ${formatLengthShort(Math.max(entryChipMm, exitChipMm), units)} is wider than the hole: that is a break.`
      : null,
  'fits-but-not-through': ({ partFit }, state) => {
    const { doneMm, wholeMm } = wayDown(state);
    return (partFit === 'fits' || partFit === 'loose') && doneMm < AS_GOOD_AS_THROUGH * wholeMm
      ? 'The part fits, yet the run did not reach its depth.'
      : null;
  },
  'chip-beyond-plan': ({ exitChipMm }, { plan }, units) =>
    plan.exitChipMm &&
    exitChipMm !== undefined &&
    exitChipMm > 2 * plan.exitChipMm.p90 &&
    exitChipMm > 0.5
      ? `An exit chip of ${formatLengthShort(exitChipMm, units)}: ${plan.exitChipMm.p90 > 0 ? `nine in ten were expected under ${formatLengthShort(plan.exitChipMm.p90, units)}` : 'none was expected'}.`
      : null,
};

/** What in a result does not go with the run; empty where all does. */
export const judgeResult = (
  result: RunResult,
  state: RunState,
  units: UnitSystem,
): readonly ResultFlag[] =>
  RESULT_FLAG_CODES.flatMap((code) => {
    const message = JUDGES[code](result, state, units);
    return message === null ? [] : [{ code, message }];
  });

/** What three taps say where all went well: nothing is claimed that was not looked at. */
export const AS_PLANNED: RunResult = { verdict: 'fine', crack: 'none' };

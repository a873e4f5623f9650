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

/** A hole measures this much under its bit by wear and reading, mm. */
const MEASURING_MM = 0.3;
/** More over its bit than this is not run-out but another bit. */
const FAR_WIDER = 1.25;
/** A narrower chip beyond its plan is not worth saying, mm. */
const WORTH_SAYING_MM = 0.5;
/** So much of the way is as good as through. */
const AS_GOOD_AS_THROUGH = 0.98;

/** The values that do not go together; null where all does. */
type Judge = (result: RunResult, state: RunState) => object | null;

const JUDGES = {
  'crack-not-seen': ({ crack }, { phase }) => (phase === 'cracked' && crack === 'none' ? {} : null),
  'fine-but-cracked': ({ verdict, crack }) => (verdict === 'fine' && crack !== 'none' ? {} : null),
  'fine-but-given-up': ({ verdict }, state) =>
    verdict === 'fine' && state.phase === 'aborted' ? {} : null,
  'exit-of-blind': ({ exitDiameterMm, exitChipMm }, { plan }) =>
    plan.exitForceN === null && (exitDiameterMm !== undefined || exitChipMm !== undefined)
      ? {}
      : null,
  'narrower-than-bit': ({ entryDiameterMm }, { plan: { setup } }) =>
    entryDiameterMm !== undefined && entryDiameterMm < setup.bitDiameterMm - MEASURING_MM
      ? { entryDiameterMm, bitDiameterMm: setup.bitDiameterMm }
      : null,
  'far-wider-than-bit': ({ entryDiameterMm }, { plan: { setup } }) =>
    entryDiameterMm !== undefined && entryDiameterMm > setup.bitDiameterMm * FAR_WIDER
      ? { entryDiameterMm, bitDiameterMm: setup.bitDiameterMm }
      : null,
  'chip-wider-than-hole': ({ entryChipMm = 0, exitChipMm = 0 }, { plan }) => {
    const chipMm = Math.max(entryChipMm, exitChipMm);
    return chipMm > plan.setup.bitDiameterMm ? { chipMm } : null;
  },
  'fits-but-not-through': ({ partFit }, state) => {
    const { doneMm, wholeMm } = wayDown(state);
    return (partFit === 'fits' || partFit === 'loose') && doneMm < AS_GOOD_AS_THROUGH * wholeMm
      ? {}
      : null;
  },
  'chip-beyond-plan': ({ exitChipMm }, { plan }) =>
    plan.exitChipMm &&
    exitChipMm !== undefined &&
    exitChipMm > 2 * plan.exitChipMm.p90 &&
    exitChipMm > WORTH_SAYING_MM
      ? { exitChipMm, p90Mm: plan.exitChipMm.p90 }
      : null,
} as const satisfies Readonly<Record<ResultFlagCode, Judge>>;

/** Something a result says that the run does not bear out: it is kept as it was said, with this beside it. */
export type ResultFlag = {
  [Code in ResultFlagCode]: { readonly code: Code } & NonNullable<
    ReturnType<(typeof JUDGES)[Code]>
  >;
}[ResultFlagCode];

/** What in a result does not go with the run; empty where all does. */
export const judgeResult = (result: RunResult, state: RunState): readonly ResultFlag[] =>
  RESULT_FLAG_CODES.flatMap((code) => {
    const found = JUDGES[code](result, state);
    return found === null ? [] : [{ code, ...found } as ResultFlag];
  });

/** What three taps say where all went well: nothing is claimed that was not looked at. */
export const AS_PLANNED: RunResult = { verdict: 'fine', crack: 'none' };

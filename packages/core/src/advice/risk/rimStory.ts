import { rimHistory, type HeatPhase, type HeatedRim } from '../../physics/heat/rimHistory';
import { rimTemperature } from '../../physics/heat/rimTemperature';
import { thermalStress } from '../../physics/heat/thermalStress';
import { COOLANTS } from '../../data/coolants';
import { liftS } from '../../physics/cutting/pauses';
import type { PlanContext } from '../../plan/planContext';

/** Of cutting that is followed; longer holes run on as they are. */
const LONGEST_S = 150;
const POINTS = 300;
/** The rim sits dry in the groove this long when the water fails unnoticed, s. */
export const DRY_SPELL_S = 5;
/** Back within a tenth of where it was. */
const RECOVERED = 1.1;

/** The ring's temperature over the cut as planned, and with the water failing half way. */
export interface RimStory {
  readonly atS: Float64Array;
  readonly wetK: Float64Array;
  readonly dryK: Float64Array;
  readonly maxWetK: number;
  readonly maxDryK: number;
  readonly dryFromS: number;
  readonly dryForS: number;
  /** After the water is back, s; null where it does not recover before the end. */
  readonly recoveryS: number | null;
  /** Rise at which heat, bending and what is built in reach the allowable stress; null for walls. */
  readonly limitK: number | null;
  /** Stress a kelvin makes, MPa/K. */
  readonly mpaPerK: number;
}

/** Follows the ring from lift to lift at the plan’s own heat, once wet and once with a dry spell. */
export function rimStory(context: PlanContext, dryForS = DRY_SPELL_S): RimStory {
  const { headline, setup, depthMm, crack, thermalStressMpa } = context;
  const { material, bit } = headline;
  const heat = (dry: boolean) =>
    rimTemperature(material, bit, {
      pressureMpa: headline.force.contactPressureMpa,
      meanSpeedMPerS: headline.force.meanSpeedMPerS,
      cutTimeS: depthMm / headline.rateMmPerS,
      waterWPerM2K: setup.coolant.rimWPerM2K,
      burnOutWPerM2: setup.coolant.burnOutWPerM2,
      dry,
    });
  const own = heat(headline.dry);
  const rim: HeatedRim = {
    ...material,
    spread: bit.solid ? 'half-sphere' : 'half-cylinder',
    widthMm: bit.solid ? bit.diameterMm : bit.rimWidthMm,
    heatFluxWPerMm2: own.heatFluxWPerMm2,
  };
  const phases = cutPhases(context);
  const wet = rimHistory(rim, phases, stepOf(phases));
  const total = phases.reduce((sum, { seconds }) => sum + seconds, 0);
  const dryFromS = Math.max(0, total / 2 - dryForS / 2);
  const dryPhase: Omit<HeatPhase, 'seconds' | 'cutting'> = {
    waterWPerM2K: COOLANTS.none.heatTransferWPerM2K,
    heatFactor: heat(true).heatFluxWPerMm2 / own.heatFluxWPerMm2,
  };
  const dry = rimHistory(
    rim,
    withSpell(phases, dryFromS, dryFromS + dryForS, dryPhase),
    stepOf(phases),
  );
  const atS = Float64Array.from({ length: POINTS + 1 }, (_, i) => (total * i) / POINTS);
  const wetK = sampled(wet, atS);
  const dryK = sampled(dry, atS);
  const mpaPerK = thermalStress(material, 1);
  const besideMpa = crack.stressMpa - thermalStressMpa;
  const back = atS.findIndex(
    (t, i) => t > dryFromS + dryForS && (dryK[i] ?? 0) <= RECOVERED * Math.max(wetK[i] ?? 0, 0.1),
  );
  return {
    atS,
    wetK,
    dryK,
    maxWetK: wet.maxK,
    maxDryK: dry.maxK,
    dryFromS,
    dryForS,
    recoveryS: back < 0 ? null : (atS[back] ?? 0) - dryFromS - dryForS,
    limitK: mpaPerK > 0 ? Math.max(0, (crack.limitMpa - besideMpa) / mpaPerK) : null,
    mpaPerK,
  };
}

const stepOf = (phases: readonly HeatPhase[]): number =>
  phases.reduce((sum, { seconds }) => sum + seconds, 0) / POINTS;

/** Cutting from lift to lift, by the time each depth takes. */
function cutPhases({ lifts, headline, depthMm, setup }: PlanContext): readonly HeatPhase[] {
  const water = { waterWPerM2K: setup.coolant.rimWPerM2K };
  const rate = Number.isFinite(headline.rateMmPerS) ? headline.rateMmPerS : 0;
  const cutS = rate > 0 ? Math.min(LONGEST_S, depthMm / rate) : LONGEST_S;
  const phases: HeatPhase[] = [];
  let at = 0;
  for (const depth of lifts) {
    const due = rate > 0 ? depth / rate : Infinity;
    if (due >= cutS) break;
    phases.push({ ...water, seconds: due - at, cutting: true });
    phases.push({ ...water, seconds: liftS(setup.hold), cutting: false });
    at = due;
  }
  return [...phases, { ...water, seconds: cutS - at, cutting: true }];
}

/** The same phases, with the water gone from one moment to another. */
function withSpell(
  phases: readonly HeatPhase[],
  fromS: number,
  toS: number,
  dry: Omit<HeatPhase, 'seconds' | 'cutting'>,
): readonly HeatPhase[] {
  const out: HeatPhase[] = [];
  let at = 0;
  for (const phase of phases) {
    const end = at + phase.seconds;
    const cuts = [at, Math.min(Math.max(fromS, at), end), Math.min(Math.max(toS, at), end), end];
    for (let i = 0; i < 3; i++) {
      const seconds = (cuts[i + 1] ?? 0) - (cuts[i] ?? 0);
      if (seconds > 1e-9) out.push({ ...phase, ...(i === 1 ? dry : {}), seconds });
    }
    at = end;
  }
  return out;
}

function sampled(
  { atS, riseK }: { readonly atS: Float64Array; readonly riseK: Float64Array },
  wanted: Float64Array,
): Float64Array {
  let at = 0;
  return wanted.map((t) => {
    while (at + 1 < atS.length && (atS[at + 1] ?? 0) <= t) at++;
    const [t0, t1] = [atS[at] ?? 0, atS[at + 1] ?? Infinity];
    const [T0, T1] = [riseK[at] ?? 0, riseK[at + 1] ?? riseK[at] ?? 0];
    return t1 === Infinity ? T0 : T0 + ((T1 - T0) * (t - t0)) / (t1 - t0);
  });
}

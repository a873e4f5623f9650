import { widening } from '../exit/exitChip';
import { pressedTime } from '../cutting/pressedTime';
import { normalDraws, seededRandom } from '../../math/seededRandom';
import { ageHazard, handlingBase, thinHazard, type HandlingCase } from './handlingHazard';
import { UNKNOWNS, type RiskModel, type SpreadUnknown, type Unknown } from './riskModel';
import type { StressSite } from './stressSites';
import { weibullHazard } from './weibull';

/** F ∝ s^−0.3: a hand presses a rim harder that turns out duller. */
export const PRESSED_FOR_DULL = 0.3;
/** No draw of m falls below this. */
const MIN_MODULUS = 2;

/** A body that shells as usual: only the sheet's thickness widens its chip. */
const PLAIN = { exitChipFactor: 1 };

/** What came out of every draw: aligned arrays, as long as there were draws. */
export interface Tries {
  /** Seconds; Infinity where it would not cut. */
  readonly timeS: Float64Array;
  /** Chip width, mm; empty where there is no exit. */
  readonly chipMm: Float64Array;
  /** The conditional odds of a crack, given what was drawn. */
  readonly odds: Float64Array;
}

/** Deviates of all draws: row by row, one column an unknown in the order of UNKNOWNS. */
export interface Deviates {
  readonly draws: number;
  readonly z: Float64Array;
  /** 0 to 1 for each draw: which of the things the piece may be. */
  readonly pick: Float64Array;
}

/**
 * @param seed the same seed gives the same deviates everywhere
 */
export function drawDeviates(draws: number, seed: number): Deviates {
  const random = seededRandom(seed);
  const normal = normalDraws(random);
  const z = new Float64Array(draws * UNKNOWNS.length);
  const pick = new Float64Array(draws);
  for (let draw = 0; draw < draws; draw++) {
    for (let unknown = 0; unknown < UNKNOWNS.length; unknown++)
      z[draw * UNKNOWNS.length + unknown] = normal();
    pick[draw] = random();
  }
  return { draws, z, pick };
}

const COLUMN = Object.fromEntries(UNKNOWNS.map((name, column) => [name, column])) as Readonly<
  Record<Unknown, number>
>;

/** The sd of each unknown in the column of its deviates; 0 where it is held still. */
const spreadColumns = (sd: RiskModel['sd'], frozen?: Unknown): Float64Array =>
  Float64Array.from(UNKNOWNS, (unknown) =>
    unknown === 'identity' || unknown === frozen ? 0 : sd[unknown],
  );

/**
 * Every draw carried through the model: force log-normal, speed, sharpness, rate, pauses, toughness,
 * thickness, heat, strength and m by their spreads. The heat stress goes with force times speed, the
 * bending with force over thickness squared (by its own weight, over thickness), the rate by Preston's
 * relation, the chip by the edge-chipping law; the strength stays a Weibull distribution, so each
 * draw gives odds and not a crack. What the log has narrowed of the cutting time narrows every draw of it.
 * @param frozen one unknown held at its middle, to see what it costs
 */
export function tryMany(model: RiskModel, deviates: Deviates, frozen?: Unknown): Tries {
  const { draws, z, pick } = deviates;
  const { sd, cuts, sharpness: s0, strains, strength, chip, handling, logged } = model;
  const middleS = pressedTime(cuts, 1);
  const narrows = logged.timeSpread !== 1 && Number.isFinite(middleS);
  const timeS = new Float64Array(draws);
  const chipMm = new Float64Array(chip ? draws : 0);
  const odds = new Float64Array(draws);
  const width = UNKNOWNS.length;
  const sds = spreadColumns(sd, frozen);
  const handBase = handlingBase(handling);
  // Λ is the mean over what is not known of people, so its draws are shifted down by half their variance.
  const handShift = frozen === 'handling' ? 0 : sd.handling ** 2 / 2;
  const sheetMm = chip?.sheetThicknessMm ?? null;
  const thinAtMiddle = sheetMm === null ? 1 : widening(PLAIN, sheetMm);
  const strained = strains.some(({ sites }) => sites.length > 0);
  const [likeliest] = model.identities;
  if (!likeliest) throw new Error('A risk model needs at least one identity; got none.');

  for (let draw = 0; draw < draws; draw++) {
    const row = draw * width;
    const at = (unknown: SpreadUnknown): number => {
      const column = COLUMN[unknown];
      return (z[row + column] ?? 0) * (sds[column] ?? 0);
    };
    const dull = at('sharpness');
    const s = s0 * Math.exp(dull);
    const f = Math.exp(at('force') - PRESSED_FOR_DULL * dull);
    const n = Math.exp(at('speed'));
    const t = Math.exp(at('thickness'));
    const identity =
      frozen === 'identity' ? likeliest : identityAt(model, pick[draw] ?? 0, likeliest);
    const slowness = (t * Math.exp(-at('rate') + at('mix'))) / (n * (s / s0) * identity.rateFactor);

    const cuttingS = pressedTime(cuts, f) * slowness;
    timeS[draw] =
      model.fixedS * Math.exp(at('pauses')) +
      (narrows ? middleS * (cuttingS / middleS) ** logged.timeSpread : cuttingS);

    if (chip) {
      const thin = sheetMm === null ? 1 : widening(PLAIN, sheetMm * t) / thinAtMiddle;
      chipMm[draw] =
        chip.widthMm *
        identity.chipFactor *
        thin *
        Math.exp(at('shelling')) *
        Math.max(0, (f * (2 - s)) / (Math.exp(at('toughness')) * (2 - s0))) ** (2 / 3);
    }

    const handHazard =
      handHazardAt(handling, handBase, t, s) * Math.exp(at('handling') - handShift);
    let stressHazard = 0;
    if (strained) {
      const m = Math.max(MIN_MODULUS, strength.weibullModulus * (1 + at('weibull')));
      const fractileMpa = strength.fractileMpa * identity.strengthFactor * Math.exp(at('strength'));
      const flux = f * n * Math.exp(at('heat'));
      const constraint = identity.heatFactor * Math.exp(at('constraint'));
      for (const { sites, heatGain } of strains) {
        const heat = flux ** heatGain * constraint;
        for (const site of sites)
          stressHazard +=
            site.lengthShare *
            weibullHazard(stressAt(site, heat, f, t) + model.builtInMpa, fractileMpa, m);
      }
    }
    const sound = Math.exp(-handHazard - stressHazard) * (1 - model.treatmentOdds);
    odds[draw] = 1 - sound ** logged.hazardTimes;
  }
  return { timeS, chipMm, odds };
}

/** σ_thermal·heat + σ_pressed·f/t² + σ_rest/t, each as many times its middle, MPa. */
const stressAt = (site: StressSite, heat: number, f: number, t: number): number =>
  site.thermalMpa * heat + (site.pressedMpa * f) / (t * t) + site.atRestMpa / t;

/** Λ_hand of one draw, from its own thickness (times t) and sharpness s. */
const handHazardAt = (
  { sheetThicknessMm, abrasive }: HandlingCase,
  base: number,
  t: number,
  s: number,
): number =>
  base *
  thinHazard(sheetThicknessMm === null ? null : sheetThicknessMm * t) *
  ageHazard(Math.min(s, 1), abrasive);

function identityAt(
  { identities }: RiskModel,
  pick: number,
  likeliest: RiskModel['identities'][number],
): RiskModel['identities'][number] {
  let below = 0;
  for (const identity of identities) {
    below += identity.share;
    if (pick < below) return identity;
  }
  return likeliest;
}

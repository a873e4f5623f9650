import { widening } from '../breakthrough/exitChip';
import { normalDraws, seededRandom } from '../random/seededRandom';
import { dullFactor, handlingBase, thinFactor } from './handlingOdds';
import { UNKNOWNS, type RiskModel, type Unknown } from './riskModel';
import { weibullOdds, weibullScale } from './weibull';

/** No rim is balder than this, whatever is drawn. */
const LEAST_SHARPNESS = 0.05;
/** A hand that falls near the glaze still cuts with a tenth of its force, as in the closed form. */
const LEAST_CUTTING_SHARE = 0.1;

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

/**
 * Every draw carried through the model: force log-normal, speed, sharpness, rate, toughness and
 * thickness by their spreads. The heat stress goes with force times speed, the bending with force
 * over thickness squared (by its own weight, over thickness), the rate by Preston's
 * relation, the chip by the edge-chipping law; the strength stays a Weibull distribution, so each
 * draw gives odds and not a crack.
 * @param frozen one unknown held at its middle, to see what it costs
 */
export function tryMany(model: RiskModel, deviates: Deviates, frozen?: Unknown): Tries {
  const { draws, z, pick } = deviates;
  const { sd, cuts, sharpness: s0, heat, bending, strength, chip } = model;
  const timeS = new Float64Array(draws);
  const chipMm = new Float64Array(chip ? draws : 0);
  const odds = new Float64Array(draws);
  const width = UNKNOWNS.length;
  const handBase = handlingBase(model.handling);
  const scaleMpa = weibullScale(strength.fractileMpa, strength.weibullModulus);
  const sheetMm = chip?.sheetThicknessMm ?? null;
  const thinAtMiddle = sheetMm === null ? 1 : widening(PLAIN, sheetMm);
  const at = (draw: number, unknown: Exclude<Unknown, 'identity'>, column: number): number =>
    unknown === frozen ? 0 : (z[draw * width + column] ?? 0) * sd[unknown];
  const [likeliest] = model.identities;
  if (!likeliest) throw new Error('A risk model needs at least one identity; got none.');

  for (let draw = 0; draw < draws; draw++) {
    const f = Math.exp(at(draw, 'force', 0));
    const n = Math.exp(at(draw, 'speed', 1));
    const s = Math.max(LEAST_SHARPNESS, s0 + at(draw, 'sharpness', 2));
    const K = Math.exp(at(draw, 'toughness', 4));
    const t = Math.exp(at(draw, 'thickness', 5));
    const identity =
      frozen === 'identity' ? likeliest : identityAt(model, pick[draw] ?? 0, likeliest);
    const slowness =
      (t * Math.exp(-at(draw, 'rate', 3) + at(draw, 'mix', 6))) /
      (n * (s / s0) * identity.rateFactor);

    let seconds = 0;
    for (const cut of cuts) {
      const over = cut.pressureMpa - cut.idleMpa;
      const floor = LEAST_CUTTING_SHARE * cut.pressureMpa;
      seconds +=
        (cut.seconds * Math.max(over, floor)) / Math.max(cut.pressureMpa * f - cut.idleMpa, floor);
    }
    timeS[draw] = model.fixedS + seconds * slowness;

    if (chip) {
      const thin = sheetMm === null ? 1 : widening(PLAIN, sheetMm * t) / thinAtMiddle;
      chipMm[draw] =
        chip.widthMm *
        identity.chipFactor *
        thin *
        Math.max(0, (f * (2 - s)) / (K * (2 - s0))) ** (2 / 3);
    }

    const sheet = model.handling.sheetThicknessMm;
    const byHand = Math.min(
      1,
      handBase * (sheet === null ? 1 : thinFactor(sheet * t)) * dullFactor(s),
    );
    const byStress = model.handlingAlone
      ? 0
      : weibullOdds(
          heat.thermalStressMpa * f * n +
            (bending.pressedMpa * f) / (t * t) +
            bending.atRestMpa / t +
            heat.builtInMpa,
          scaleMpa,
          strength.weibullModulus,
        );
    odds[draw] = 1 - (1 - byStress) * (1 - byHand);
  }
  return { timeS, chipMm, odds };
}

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

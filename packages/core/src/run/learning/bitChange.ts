import { HOUR_MONEY, PIECE_MONEY } from '../../advice/choice/outcome';
import type { Experience, LogRatio } from '../../documents/experience';
import type { Bit } from '../../documents/kit';
import type { TimeSpread } from '../../documents/plan';
import { contextOf } from '../../plan/contextOf';
import { planNumbers } from '../../plan/planNumbers';
import type { DrillCase } from '../../setup/drillCase';
import { bitPrice } from '../../setup/usualBit';
import { changePoint, type ChangePoint } from './changeBit';
import { loggedFactors, oddsBand } from './experience';
import type { Learned } from './learn';
import { LIVES_TO_WORN } from './lifetimes';

/** The bit as it is with so many holes cut: what was found of it since is not of then. */
export const bitAged = (
  { sharpness: _now, sharpnessLog: _log, state: _found, retired: _away, ...bit }: Bit,
  holes: number,
  depthMm: number,
): Bit => ({ ...bit, holesCut: holes, depthCutMm: holes * depthMm });

/** Ages a bit's holes are planned at, and told between, holes. */
const AGES = [0, 2, 5, 10, 20, 40, 80, 160, 320, 640, 1000];
/** sd of ln(hazard) that odds are calculated with. */
export const HAZARD_SD = 0.7;
const NO_LOG: Experience = { hash: '', at: '', holes: 0, factors: [] };

/** What the log has taught, of which hand, and how long bits last beside what is planned. */
export interface Taught {
  readonly learned: Learned;
  readonly person: string | null;
  readonly lifetime: LogRatio;
}

/**
 * When to change a bit that drills holes like this one, by what the log has taught.
 * @returns null where no plan can be made of it, or it does not cut
 */
export function bitChange(
  drillCase: DrillCase,
  bit: Bit,
  { learned, person, lifetime }: Taught,
): ChangePoint | null {
  const fresh = numbersAt(drillCase, bit, 0, null);
  if (!fresh) return null;
  const { depthMm, bitLife } = fresh;
  const lives = LIVES_TO_WORN * Math.exp(lifetime.mean);
  const wornAt = Math.max(2, (lives * bitLife.lifeDepthMm) / depthMm);
  const planned = AGES.filter((age, i) => i === 0 || (AGES[i - 1] ?? 0) < wornAt).flatMap((age) => {
    const factors = loggedFactors(learned, {
      material: drillCase.piece.material,
      family: bit.family,
      bit: { ...bit, holesCut: age },
      person,
    });
    const numbers = numbersAt(drillCase, bit, age, { ...NO_LOG, factors: [factors] });
    if (!numbers?.drillTimeS) return [];
    const { crackProbability, fromLog } = numbers;
    const crack = oddsBand(crackProbability, fromLog?.hazardSd ?? HAZARD_SD);
    return [{ age, timeS: numbers.drillTimeS, crack }];
  });
  if (planned.length === 0) return null;
  return changePoint({
    bitMoney: bitPrice(bit),
    pieceMoney: drillCase.piece.valueMoney ?? PIECE_MONEY,
    hourMoney: drillCase.habits.hourMoney ?? HOUR_MONEY,
    wornAt,
    at: (holes) => ({
      timeS: between(planned, holes, ({ timeS }) => timeS),
      crack: between(planned, holes, ({ crack }) => crack),
    }),
  });
}

function numbersAt(drillCase: DrillCase, bit: Bit, holes: number, experience: Experience | null) {
  const { kit, piece, hole } = drillCase;
  const aged = bitAged(bit, holes, piece.thicknessMm);
  const worked = contextOf({
    ...drillCase,
    experience,
    hole: { ...hole, setup: { ...hole.setup, bit: bit.id } },
    kit: { ...kit, bits: (kit.bits ?? []).map((one) => (one.id === bit.id ? aged : one)) },
  });
  return worked.kind === 'faulty' ? null : planNumbers(worked.context);
}

/** Between two ages straight in the logarithms of figure and age; beyond the last as there. */
function between<T extends { readonly age: number }>(
  planned: readonly T[],
  holes: number,
  of: (one: T) => TimeSpread,
): TimeSpread {
  const after = planned.findIndex(({ age }) => age >= holes);
  const [a, b] = [planned[Math.max(0, after - 1)], planned[after]];
  const last = planned.at(-1);
  if (!a || !b) return last ? of(last) : { p10: 0, p50: 0, p90: 0 };
  const x = (age: number): number => Math.log1p(age);
  const share = b.age > a.age ? (x(holes) - x(a.age)) / (x(b.age) - x(a.age)) : 1;
  const mix = (key: keyof TimeSpread): number => of(a)[key] ** (1 - share) * of(b)[key] ** share;
  return { p10: mix('p10'), p50: mix('p50'), p90: mix('p90') };
}

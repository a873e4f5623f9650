import type { TimeSpread } from '../../documents/plan';
import type { Bit } from '../../documents/kit';
import { Z_90 } from '../../math/normal';
import type { DrillCase } from '../../setup/drillCase';
import { bitChange } from './bitChange';
import type { BitDue } from './bitDue';
import { experienceOf } from './experience';
import type { Experience } from '../../documents/experience';
import { lifetimes, lifetimesOf } from './lifetimes';
import { learn, type Learned, type Calibrated } from './learn';
import type { Doubt, LoggedHole } from './loggedHole';

/** How often bands held that were made without the hole itself. */
export interface Held {
  /** Month as 2026-05, or a material’s id. */
  readonly of: string;
  readonly inside: number;
  readonly n: number;
}

/** One thing that was learned: so many times as long as calculated. */
export interface LearnedLevel {
  readonly level: string;
  readonly name: string;
  readonly rate: TimeSpread;
  readonly runs: number;
}

/** A run with something against it; a person may have put it back all the same. */
export interface Doubted {
  readonly id: string;
  readonly doubts: readonly Doubt[];
  readonly isPutBack: boolean;
}

/** How well the log knows: everything the page about it shows. */
export interface LearningReport {
  readonly runs: number;
  readonly used: number;
  readonly doubted: readonly Doubted[];
  readonly calibration: {
    readonly timeBand80: number | null;
    readonly n: number;
    readonly byMonth: readonly Held[];
    readonly byMaterial: readonly Held[];
  };
  /** Holes by the odds they were given, fewest first: how many broke. */
  readonly odds: readonly {
    readonly told: number;
    readonly cracked: number;
    readonly n: number;
  }[];
  readonly levels: readonly LearnedLevel[];
  readonly bits: readonly BitDue[];
  /** What to log next to learn most: the widest bands of what is owned. */
  readonly next: readonly {
    readonly material: string;
    readonly family: string;
    readonly holes: number;
    /** Eight in ten lie within this factor either way. */
    readonly within: number;
  }[];
}

/** What a log is learned from, and for whom. */
export interface LearningInput {
  readonly holes: readonly LoggedHole[];
  /** All that are or were owned, as old as they are. */
  readonly bits: readonly Bit[];
  /** The last hole each bit in use drilled, for when to change it. */
  readonly cases: readonly { readonly bitId: string; readonly drillCase: DrillCase }[];
  /** When it is, ISO 8601: holes later than that are not believed. */
  readonly now: string;
}

export interface LearningOutcome {
  readonly experience: Experience | null;
  readonly report: LearningReport;
}

/** The whole of what a log tells: for plans, and for the page that says how well it knows. */
export function learnAll({ holes, bits, cases, now }: LearningInput): LearningOutcome {
  const learned = learn(agedHoles(holes, bits), new Date(now));
  const person = onlyHand(learned.believed);
  const inUse = bits.filter(({ retired }) => !retired);
  const lifetime = lifetimes(lifetimesOf(learned.believed, bits));
  return {
    experience: experienceOf(learned, { bits: inUse, person }),
    report: {
      runs: learned.runs,
      used: learned.used,
      doubted: learned.doubted.map(({ id, doubts, choice }) => ({
        id,
        doubts,
        isPutBack: choice === 'put-back',
      })),
      calibration: {
        ...learned.calibration,
        byMonth: heldBy(learned.calibrated, ({ at }) => at.slice(0, 7)),
        byMaterial: heldBy(learned.calibrated, ({ material }) => material),
      },
      odds: oddsTold(learned.believed),
      levels: levelsOf(learned, bits).toSorted((a, b) => b.runs - a.runs || tells(b) - tells(a)),
      bits: cases.flatMap(({ bitId, drillCase }) => {
        const bit = bits.find(({ id }) => id === bitId);
        const due = bit && bitChange(drillCase, bit, { learned, person, lifetime });
        return bit && due ? [{ bitId, name: bit.name, holesCut: bit.holesCut ?? 0, ...due }] : [];
      }),
      next: nextToLog(learned, inUse),
    },
  };
}

/** Who drills, where the log names one alone; null where it may be anybody. */
export function onlyHand(holes: readonly Pick<LoggedHole, 'person'>[]): string | null {
  const [one, ...others] = new Set(holes.flatMap(({ person }) => person ?? []));
  return one !== undefined && others.length === 0 ? one : null;
}

/** Each hole with how many its bit had cut before: from what the kit counts now, back; else from the log’s beginning. */
export function agedHoles(
  holes: readonly LoggedHole[],
  bits: readonly Pick<Bit, 'id' | 'holesCut'>[],
): readonly LoggedHole[] {
  const inOrder = holes.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const all = new Map<string, number>();
  for (const { bit } of inOrder) if (bit !== null) all.set(bit, (all.get(bit) ?? 0) + 1);
  const before = new Map(
    bits.map(({ id, holesCut = 0 }) => [id, Math.max(0, holesCut - (all.get(id) ?? 0))]),
  );
  return inOrder.map((hole) => {
    const holesBefore = before.get(hole.bit ?? '') ?? 0;
    if (hole.bit !== null) before.set(hole.bit, holesBefore + 1);
    return { ...hole, holesBefore };
  });
}

/** How far from what is calculated, in widths of its band. */
const tells = ({ rate: { p10, p50, p90 } }: LearnedLevel): number =>
  Math.abs(Math.log(p50)) / Math.log(p90 / p10);

/** How long each takes over what is planned, as a factor. */
export const levelsOf = (
  { rate }: Learned,
  bits: readonly Pick<Bit, 'id' | 'name'>[],
): readonly LearnedLevel[] =>
  rate.effects
    .filter(({ level }) => level !== 'overall' && level !== 'wear' && level !== 'force')
    .map(({ level, name, mean, sd, trials }) => ({
      level,
      name: level === 'bit' ? (bits.find(({ id }) => id === name)?.name ?? name) : name,
      rate: {
        p10: Math.exp(mean - Z_90 * sd),
        p50: Math.exp(mean),
        p90: Math.exp(mean + Z_90 * sd),
      },
      runs: trials,
    }));

function heldBy(
  predictions: readonly Calibrated[],
  of: (one: Calibrated) => string,
): readonly Held[] {
  const held = new Map<string, { inside: number; n: number }>();
  for (const one of predictions) {
    const so = held.get(of(one)) ?? { inside: 0, n: 0 };
    held.set(of(one), { inside: so.inside + (one.inside ? 1 : 0), n: so.n + 1 });
  }
  return [...held].sort(([a], [b]) => (a < b ? -1 : 1)).map(([name, so]) => ({ of: name, ...so }));
}

const DECILES = 10;
/** Fewer holes a part say nothing of odds. */
const MIN_A_PART = 20;

/** Holes in parts of like odds, as their plans gave them: ten where there are enough. */
function oddsTold(holes: readonly LoggedHole[]): LearningReport['odds'] {
  const real = holes
    .filter(({ practice }) => !practice)
    .toSorted((a, b) => a.plannedCrack - b.plannedCrack);
  const parts = Math.min(DECILES, Math.floor(real.length / MIN_A_PART));
  return Array.from({ length: parts }, (_, i) => {
    const some = real.slice(
      Math.round((i * real.length) / parts),
      Math.round(((i + 1) * real.length) / parts),
    );
    return {
      told: some.reduce((sum, one) => sum + one.plannedCrack, 0) / some.length,
      cracked: some.filter(({ cracked }) => cracked).length,
      n: some.length,
    };
  });
}

const MAX_NEXT = 3;

/** Stones of the log with kinds of bit that are owned, by how wide their bands are still. */
function nextToLog(learned: Learned, bits: readonly Bit[]): LearningReport['next'] {
  const families = [...new Set(bits.map(({ family }) => family))];
  const materials = [...new Set(learned.believed.map(({ material }) => material))];
  return materials
    .flatMap((material) =>
      families
        .filter((family) => learned.holesOf(material, family) > 0)
        .map((family) => {
          const { sd } = learned.rate.predict({
            material,
            family,
            bit: null,
            person: null,
            sheet: null,
            holesBefore: 0,
          });
          const holes = learned.holesOf(material, family);
          return { material, family, holes, within: Math.exp(Z_90 * sd) };
        }),
    )
    .sort((a, b) => b.within - a.within)
    .slice(0, MAX_NEXT);
}

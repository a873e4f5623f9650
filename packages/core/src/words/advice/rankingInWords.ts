import type {
  ImpossibleSetup,
  RankedSetup,
  Ranking,
  RankOutcome,
} from '../../advice/choice/rankSetups';
import type { Fault } from '../../documents/fault';
import type { Bit } from '../../documents/kit';
import { inUnits } from '../plan/planInUnits';
import { formatLength } from '../units/length';
import { METRIC, type UnitSystem } from '../../data/unitSystem';
import { obstacleText } from './obstacleWords';
import { placeInWords } from './placeInWords';
import { whatToGet, type ToGet } from './whatToGet';
import { faultyInWords } from '../faults';

/** One way of making the hole, and why it stands where it stands. */
export interface DescribedSetup extends Omit<RankedSetup, 'context'> {
  readonly why: string;
}

export interface DescribedImpossible extends Omit<ImpossibleSetup, 'obstacles'> {
  readonly obstacles: readonly { readonly code: string; readonly text: string }[];
}

/** The kit ranked for one hole, as it is shown. */
export interface DescribedRanking {
  readonly ranked: readonly DescribedSetup[];
  readonly impossible: readonly DescribedImpossible[];
  readonly otherSizes: readonly { readonly bit: Bit; readonly text: string }[];
  /** What would make the hole, where nothing owned does; and always the bit that is meant. */
  readonly toGet: ToGet;
}

export type DescribedRankOutcome =
  | { readonly kind: 'ranked'; readonly ranking: DescribedRanking }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

export function rankingInWords(
  outcome: RankOutcome,
  units: UnitSystem = METRIC,
): DescribedRankOutcome {
  return outcome.kind === 'faulty'
    ? faultyInWords(outcome)
    : { kind: 'ranked', ranking: said(outcome.ranking, units) };
}

/** By how much a bit misses the size. */
export const missText = (missMm: number, units: UnitSystem): string =>
  `${formatLength(Math.abs(missMm), units)} too ${missMm < 0 ? 'small' : 'wide'}.`;

function said(
  { ranked, impossible, otherSizes, asIs, machines }: Ranking,
  units: UnitSystem,
): DescribedRanking {
  const [first] = ranked;
  return {
    ranked: ranked.map(({ context, ...one }, index) => ({
      ...one,
      why: placeInWords(one.outcome, first?.outcome ?? one.outcome, index, inUnits(context, units)),
    })),
    impossible: impossible.map((one) => ({
      ...one,
      obstacles: one.obstacles.map((obstacle) => ({
        code: obstacle.code,
        text: obstacleText(obstacle, units),
      })),
    })),
    otherSizes: otherSizes.map(({ bit, missMm }) => ({ bit, text: missText(missMm, units) })),
    toGet: whatToGet(inUnits(asIs, units), machines),
  };
}

import type {
  BarredWater,
  RankedWater,
  WaterBar,
  WaterOutcome,
} from '../../advice/choice/rankWater';
import { COOLANTS } from '../../data/coolants';
import type { Fault } from '../../documents/fault';
import { gateInWords } from '../hazards/gateInWords';
import { inUnits } from '../plan/planInUnits';
import { formatRimSpeed } from '../units/formatQuantity';
import { METRIC, type UnitSystem } from '../../data/unitSystem';
import { placeInWords } from './placeInWords';
import { faultyInWords } from '../faults';

/** One way of wetting this hole, as it is shown. */
export interface DescribedWater extends Omit<RankedWater, 'context'> {
  readonly name: string;
  readonly note: string;
  readonly why: string;
}

export interface DescribedBarredWater extends Omit<BarredWater, 'bar'> {
  readonly name: string;
  readonly why: string;
}

export type DescribedWaters =
  | {
      readonly kind: 'ranked';
      readonly ranked: readonly DescribedWater[];
      readonly barred: readonly DescribedBarredWater[];
    }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

function barText(bar: WaterBar, units: UnitSystem): string {
  switch (bar.code) {
    case 'building-in-tray':
      return 'A wall or floor does not go in a tray.';
    case 'built-in-tray':
      return 'A built piece does not go in a tray.';
    case 'no-tray-holds-it':
      return 'It does not lie in any tray you have.';
    case 'too-big-for-tray':
      return 'It is too big to lie in a bench tray.';
    case 'not-a-glass-grinder':
      return 'Only a glass grinder has one.';
    case 'no-spindle-water':
      return `${bar.machine} brings none through its spindle, and no water swivel is in the kit.`;
    case 'oil-is-for-beads':
      return 'Oil is for beads: it cools less than water.';
    case 'thrown-off':
      return `Thrown off: the rim runs at ${formatRimSpeed(bar.rimSpeedMPerS, units)}, and it holds to ${formatRimSpeed(bar.throwOffMPerS, units)}.`;
    case 'gate':
      return gateInWords(bar.gate, units).message;
  }
}

export function waterInWords(outcome: WaterOutcome, units: UnitSystem = METRIC): DescribedWaters {
  if (outcome.kind === 'faulty') return faultyInWords(outcome);
  const { ranked, barred } = outcome;
  const [first] = ranked;
  return {
    kind: 'ranked',
    ranked: ranked.map(({ context, ...one }, index) => ({
      ...one,
      name: COOLANTS[one.kind].name,
      note: COOLANTS[one.kind].note,
      why: placeInWords(one.outcome, first?.outcome ?? one.outcome, index, inUnits(context, units)),
    })),
    barred: barred.map(({ kind, bar }) => ({
      kind,
      name: COOLANTS[kind].name,
      why: barText(bar, units),
    })),
  };
}

import { OPERATION_KINDS } from '../../data/operations';
import type { Operation } from '../../documents/operation';
import type { Plan, PlannedOperation } from '../../documents/plan';
import type { UnitSystem } from '../../data/unitSystem';
import {
  formatDuration,
  formatDurationSpan,
  formatForce,
  formatRpm,
} from '../units/formatQuantity';
import { oddsInWords } from '../odds';
import { operationsWords } from '../screens/operations';
import { formatLengthShort } from '../units/length';

/** One operation in a list: what it does and where, with what, and how long it takes. */
export interface OperationLine {
  readonly title: string;
  readonly detail: string;
  /** Empty while it cannot be planned. */
  readonly time: string;
}

/**
 * @param one as it is listed
 * @param planned the same as it was planned last; undefined while it has not been
 */
export function operationLine(
  one: Operation,
  planned: PlannedOperation | undefined,
  units: UnitSystem,
): OperationLine {
  const { name, cuts } = OPERATION_KINDS[one.does];
  const [fromMm, toMm] = [one.fromMm ?? planned?.fromMm, one.toMm ?? planned?.toMm];
  const face = (one.face ?? planned?.face) === 'far' ? 'far face' : '';
  const range =
    cuts && fromMm !== undefined && toMm !== undefined
      ? `${formatLengthShort(fromMm, units).replace(/ [a-z″"]+$/u, '')} to ${formatLengthShort(toMm, units)}`
      : '';
  const parts = cuts
    ? [
        planned?.bitName ?? '',
        planned?.machineName ?? '',
        planned ? (planned.wet ? 'wet' : 'dry') : '',
        planned?.hammer ? 'hammer on' : '',
        planned?.rpm ? formatRpm(planned.rpm) : '',
        planned?.feedForceN ? formatForce(planned.feedForceN, units) : '',
      ]
    : [planned?.steps[0]?.detail ?? ''];
  return {
    title: [`${name}${range ? ` ${range}` : ''}`, face].filter(Boolean).join(', '),
    detail: parts.filter(Boolean).join(' · '),
    time: planned?.timeS ? `about ${formatDuration(planned.timeS.p50)}` : '',
  };
}

/** One total of all operations. */
export interface OperationTotal {
  readonly label: string;
  readonly value: string;
  readonly note: string;
}

/** What all operations come to: time, odds, and how many bits go on. */
export function operationTotals(plan: Plan): readonly OperationTotal[] {
  const { drillTimeS, altogetherS, crackProbability, operations = [] } = plan;
  const bits = new Set(operations.flatMap(({ bitName }) => bitName ?? [])).size;
  return [
    {
      label: operationsWords.cutting,
      value: drillTimeS ? formatDuration(drillTimeS.p50) : operationsWords.doesNotCut,
      note: drillTimeS ? formatDurationSpan(drillTimeS.p10, drillTimeS.p90) : '',
    },
    {
      label: operationsWords.altogether,
      value: altogetherS ? formatDuration(altogetherS.p50) : operationsWords.doesNotCut,
      note: '',
    },
    { label: operationsWords.odds, value: oddsInWords(crackProbability), note: '' },
    { label: operationsWords.bits, value: String(bits), note: '' },
  ];
}

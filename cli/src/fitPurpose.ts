import type { Fault } from '@nucleon/core/documents/fault';
import { isPurposeKind, PURPOSE_KINDS, PURPOSES } from '@nucleon/core/layout/purposes/purposes';
import { METRIC, type UnitSystem } from '@nucleon/core/data/unitSystem';
import { fitInWords } from '@nucleon/core/words/purposes/fitInWords';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { jsonOption } from './jsonOption';

/**
 * Prints what a purpose asks of the hole, as JSON. `thicknessMm` beside the part's own fields is the
 * piece's thickness; lengths may be numbers of mm or texts such as "1 1/2 in".
 */
export function fitPurpose(
  purpose: string,
  json: string,
  console: Console,
  units: UnitSystem = METRIC,
): number {
  const refuse = (...faults: readonly Fault[]): number => {
    faults.forEach((fault) => {
      console.err(faultLine(fault));
    });
    return 1;
  };
  if (!isPurposeKind(purpose)) {
    return refuse({
      pointer: '',
      message: `“${purpose}” is not a purpose; use one of ${PURPOSE_KINDS.join(', ')}.`,
    });
  }
  const given = jsonOption(json);
  if (given.kind === 'faulty') return refuse(given.fault);
  const { thicknessMm, ...part } = given.value;
  if (thicknessMm !== undefined && !(typeof thicknessMm === 'number' && thicknessMm > 0)) {
    return refuse({
      pointer: '/thicknessMm',
      message: `thicknessMm is ${JSON.stringify(thicknessMm)}; it must be a number of mm above 0.`,
    });
  }
  const outcome = fitInWords(
    PURPOSES[purpose],
    part,
    { thicknessMm: thicknessMm ?? Infinity, pieceMassKg: null },
    units,
  );
  if (outcome.kind === 'faulty') return refuse(...outcome.faults);
  const { results, ...rest } = outcome.fit;
  const numbers = Object.fromEntries(results.map(({ key, value }) => [key, value]));
  console.out(JSON.stringify({ purpose, ...rest, results: numbers }, null, 2));
  return 0;
}

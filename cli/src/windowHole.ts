import { MAX_GRID, workingWindow } from '@nucleon/core/advice/choice/workingWindow';
import { WINDOW_AREAS } from '@nucleon/core/setup/windowAreas';
import { faultsInWords } from '@nucleon/core/words/faults';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { MODEL_VERSION } from '@nucleon/core/documents/plan';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { NUCLEON_VERSION } from './version';

const USUAL_SIZE = 40;
/** Margins are printed to the hundredth of a standard deviation. */
const hundredth = (value: number): number => Math.round(value * 100) / 100;

/** Prints the map of speed against force: margins of every area, row by row. */
export function windowHole(
  drillCase: DrillCase,
  size: string | undefined,
  console: Console,
): number {
  const side = size === undefined ? USUAL_SIZE : Number(size);
  if (!Number.isInteger(side) || side < 2 || side > MAX_GRID) {
    console.err(`--size ${size ?? ''} will not do: a whole number from 2 to ${MAX_GRID}.`);
    return 1;
  }
  const worked = contextOf(drillCase);
  if (worked.kind === 'faulty') {
    faultsInWords(worked.faults).forEach((fault) => {
      console.err(faultLine(fault));
    });
    return 1;
  }
  const grid = workingWindow(worked.context, side);
  console.out(
    JSON.stringify({
      nucleon: NUCLEON_VERSION,
      model: MODEL_VERSION,
      holeId: drillCase.hole.id,
      ...grid,
      margins: Object.fromEntries(
        WINDOW_AREAS.map((area) => [area, Array.from(grid.margins[area], hundredth)]),
      ),
    }),
  );
  return 0;
}

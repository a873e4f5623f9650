import { contextOf } from '@nucleon/core/plan/contextOf';
import { oddsMap, oddsSurface } from '@nucleon/core/advice/risk/oddsMap';
import { MODEL_VERSION } from '@nucleon/core/documents/plan';
import { stressOf } from '@nucleon/core/advice/risk/stressOf';
import { faultsInWords } from '@nucleon/core/words/faults';
import { stressText } from '@nucleon/core/words/plan/stressText';
import { bendingText } from '@nucleon/core/words/plan/bendingWords';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import { METRIC, type UnitSystem } from '@nucleon/core/data/unitSystem';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { NUCLEON_VERSION } from './version';

const USUAL_COLUMNS = 16;
const MAX_COLUMNS = 60;
const rounded = (values: Iterable<number>): (number | null)[] =>
  Array.from(values, (value) => (Number.isFinite(value) ? Number(value.toPrecision(5)) : null));

const faulty = (faults: Parameters<typeof faultLine>[0][], console: Console): number => {
  faults.forEach((fault) => {
    console.err(faultLine(fault));
  });
  return 1;
};

/** Prints how the piece bends under this hole's force: what it comes to, and every point of it. */
export function stressHole(
  drillCase: DrillCase,
  console: Console,
  units: UnitSystem = METRIC,
): number {
  const outcome = stressOf(drillCase, rememberingBend());
  if (outcome.kind === 'faulty') return faulty(faultsInWords(outcome.faults), console);
  const { context, field } = outcome.stress;
  console.out(
    JSON.stringify(
      {
        nucleon: NUCLEON_VERSION,
        model: MODEL_VERSION,
        holeId: drillCase.hole.id,
        text: stressText(context, units),
        bending: context.bending,
        thermalStressMpa: context.thermalStressMpa,
        totalStressMpa: context.crack.stressMpa,
        stressLimitMpa: context.crack.limitMpa,
        crackProbability: context.crack.total,
        field: field && {
          xMm: rounded(field.mesh.x),
          yMm: rounded(field.mesh.y),
          triangles: Array.from(field.mesh.corners),
          farTensionMpa: rounded(field.solution.farTensionMpa),
          nearTensionMpa: rounded(field.solution.nearTensionMpa),
          deflectionMm: rounded(field.solution.deflectionMm),
          reactionN: rounded(field.solution.reactionN),
        },
      },
      null,
      2,
    ),
  );
  return 0;
}

/** Prints the odds of a crack if the hole were elsewhere, cell by cell from the lower left. */
export function stressMap(
  drillCase: DrillCase,
  size: string | undefined,
  console: Console,
): number {
  const columns = size === undefined ? USUAL_COLUMNS : Number(size);
  if (!Number.isInteger(columns) || columns < 2 || columns > MAX_COLUMNS) {
    console.err(`--size ${size ?? ''} will not do: a whole number from 2 to ${MAX_COLUMNS}.`);
    return 1;
  }
  const bend = rememberingBend();
  const worked = contextOf(drillCase, bend);
  if (worked.kind === 'faulty') return faulty(faultsInWords(worked.faults), console);
  const prepared = oddsSurface(worked.context, bend);
  if (prepared.kind === 'none') {
    console.err(`No map: ${bendingText(prepared.bending)}`);
    return 1;
  }
  const map = oddsMap(prepared.surface, columns);
  console.out(
    JSON.stringify({
      nucleon: NUCLEON_VERSION,
      model: MODEL_VERSION,
      holeId: drillCase.hole.id,
      ...map,
      odds: rounded(map.odds),
      stressMpa: rounded(map.stressMpa),
    }),
  );
  return 0;
}

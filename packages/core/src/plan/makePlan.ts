import { checkJob } from '../job/checkJob';
import type { Fault } from '../job/fault';
import type { Hole, JobFile, Piece } from '../job/job';
import { bendLater, type Bend } from '../plate/bender';
import { METRIC, type UnitSystem } from '../units/unitSystem';
import type { Plan } from './plan';
import type { PlanContext } from './planContext';
import { planOutput } from './planOutput';
import { workOut } from './workOut';

export type PlanOutcome =
  | { readonly kind: 'planned'; readonly plan: Plan }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/**
 * The plan of one hole: the same function on the phone, the server and the command line.
 *
 * @param file a job of the right shape; the hole and its piece are checked here, and faults point
 *   into a job of just that piece and hole (checkJob finds those of the whole file)
 * @param units what the sentences are written in; the numbers are always SI-mm
 * @param bend works out how the piece bends, which takes a tenth of a second or two; left out, the
 *   plan is made without it and says so
 * @throws when no hole has this id: a caller's bug
 */
export function makePlan(
  file: JobFile,
  holeId: string,
  units: UnitSystem = METRIC,
  bend: Bend = bendLater,
): PlanOutcome {
  const worked = contextOf(file, holeId, units, bend);
  return worked.kind === 'faulty' ? worked : { kind: 'planned', plan: planOutput(worked.context) };
}

export type ContextOutcome =
  | { readonly kind: 'worked-out'; readonly context: PlanContext }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** What makePlan puts into words, for those who reckon on with it: choice, window, risk. */
export function contextOf(
  file: JobFile,
  holeId: string,
  units: UnitSystem,
  bend: Bend = bendLater,
): ContextOutcome {
  const { piece, hole } = findHole(file, holeId);
  const faults = checkJob({ ...file, pieces: [{ ...piece, holes: [hole] }] });
  return faults.length > 0
    ? { kind: 'faulty', faults }
    : { kind: 'worked-out', context: workOut(file, piece, hole, units, bend) };
}

/** @throws when no hole has this id: a caller’s bug */
export function findHole(file: JobFile, holeId: string): { piece: Piece; hole: Hole } {
  for (const piece of file.pieces) {
    const hole = piece.holes.find((candidate) => candidate.id === holeId);
    if (hole) return { piece, hole };
  }
  throw new Error(`No hole “${holeId}” in job “${file.job.name}”.`);
}

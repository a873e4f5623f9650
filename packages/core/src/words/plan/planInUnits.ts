import type { UnitSystem } from '../../data/unitSystem';
import type { Fit } from '../../documents/fit';
import { isMissing } from '../../layout/purposes/fit';
import { sceneOf, sizeFor } from '../../layout/purposes/purposes';
import type { PlanContext } from '../../plan/planContext';
import { faultOf, fitOf } from '../purposes/fitInWords';

/** What was worked out, the units its sentences are written in, and its part in words. */
export interface PlanInUnits extends PlanContext {
  readonly units: UnitSystem;
  readonly fit: Fit | null;
  /** What clashes in the part that was entered. */
  readonly purposeClash: string | null;
}

export function inUnits(context: PlanContext, units: UnitSystem): PlanInUnits {
  const { piece, hole, face } = context;
  const sizing = hole.purpose ? sizeFor(hole.purpose, sceneOf(piece, face)) : null;
  const clash =
    sizing?.kind === 'faulty' ? sizing.faults.find((fault) => !isMissing(fault)) : undefined;
  return {
    ...context,
    units,
    fit: sizing?.kind === 'sized' ? fitOf(sizing, units) : null,
    purposeClash: clash ? faultOf(clash, units).message : null,
  };
}

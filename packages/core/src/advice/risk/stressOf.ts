import type { DrillCase } from '../../setup/drillCase';
import type { JobFault } from '../../setup/jobFault';
import type { Pressed } from '../../physics/plate/bendPiece';
import type { Bend } from '../../physics/plate/bender';
import { bendingSceneOf } from '../../plan/bendingSceneOf';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';

/** One hole's stresses on what holds the piece, with the whole field where it could be worked out. */
export interface HoleStress {
  readonly context: PlanContext;
  readonly field: Pressed['field'];
}

export type StressOutcome =
  | { readonly kind: 'stressed'; readonly stress: HoleStress }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

export function stressOf(drillCase: DrillCase, bend: Bend): StressOutcome {
  const worked = contextOf(drillCase, bend);
  if (worked.kind === 'faulty') return worked;
  const { context } = worked;
  const posed = bendingSceneOf(context.piece, context.hole, context.setup, context.headline);
  return {
    kind: 'stressed',
    stress: {
      context,
      field: posed.kind === 'scene' ? bend(posed.scene).field : null,
    },
  };
}

import type { DrillCase } from '../setup/drillCase';
import type { Fault } from '../documents/fault';
import type { Pressed } from '../physics/plate/bendPiece';
import type { Bend } from '../physics/plate/bender';
import { formatPressure } from '../words/units/formatQuantity';
import { formatLengthShort } from '../words/units/length';
import { formatDecimals } from '../words/units/roundNumber';
import type { UnitSystem } from '../words/units/unitSystem';
import { capitalised } from '../words/sentence';
import { bendingSceneOf } from './bendingSceneOf';
import { sinksInWords } from '../words/plan/sinkingWords';
import { bendingText } from '../words/plan/bendingWords';
import { contextOf } from './makePlan';
import type { PlanContext } from './planContext';

/** One hole's stresses on what holds the piece, with the whole field where it could be worked out. */
export interface HoleStress {
  readonly context: PlanContext;
  readonly field: Pressed['field'];
  /** What it comes to, in a sentence or two. */
  readonly text: string;
}

export type StressOutcome =
  | { readonly kind: 'stressed'; readonly stress: HoleStress }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

export function stressOf(drillCase: DrillCase, units: UnitSystem, bend: Bend): StressOutcome {
  const worked = contextOf(drillCase, units, bend);
  if (worked.kind === 'faulty') return worked;
  const { context } = worked;
  const posed = bendingSceneOf(context.piece, context.hole, context.setup, context.headline);
  return {
    kind: 'stressed',
    stress: {
      context,
      field: posed.kind === 'scene' ? bend(posed.scene).field : null,
      text: stressText(context),
    },
  };
}

/** How far the stress is from its limit, what makes most of it, and how far the piece sinks. */
export function stressText({ bending, crack, thermalStressMpa, units }: PlanContext): string {
  if (bending.kind !== 'bent') return capitalised(bendingText(bending));
  const limitMpa = crack.limitMpa;
  const share = crack.stressMpa / limitMpa;
  const most =
    bending.stressMpa > thermalStressMpa
      ? bending.atRestMpa > bending.stressMpa / 2
        ? 'most of it from how the piece lies, before you press'
        : 'most of it from bending'
      : 'most of it from heat';
  const where = `${bending.face === 'far' ? 'on the far face' : 'on the near face'}, at ${formatLengthShort(bending.at.xMm, units)} × ${formatLengthShort(bending.at.yMm, units)}`;
  const lift =
    bending.liftOffFraction >= 0.005
      ? `, and ${formatDecimals(bending.liftOffFraction * 100, 0)} % of its bed loses touch`
      : '';
  const verdict =
    share > 1
      ? `over the working limit of ${formatPressure(limitMpa, units)}`
      : `${formatDecimals(share * 100, 0)} % of the working limit of ${formatPressure(limitMpa, units)}`;
  return `${formatPressure(crack.stressMpa, units)} altogether, ${verdict}, ${most}. Bending is greatest ${where}. It ${sinksInWords(bending.deflectionMm, units)}${lift}.`;
}

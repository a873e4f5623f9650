import { type DrillCase, withHole } from '../../setup/drillCase';
import { distance, type PointMm } from '../../math/arc';
import { distanceToEdge, isOnFace, nearestOnEdge, outlineCentre } from '../../layout/outline';
import type { JudgedRule } from '../../layout/edgeRules';
import type { EdgeRuleId } from '../../data/choices';
import type { JobFault } from '../../setup/jobFault';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import type { Bend } from '../../physics/plate/bender';

/** What the stress comes to with the hole’s edge this far from the piece’s nearest edge. */
export interface EdgePoint {
  readonly clearMm: number;
  readonly bendingMpa: number;
  /** All stress together, MPa. */
  readonly stressMpa: number;
  readonly odds: number;
}

/** A rule of thumb beside the stress. */
export interface RuleTruth {
  readonly rule: EdgeRuleId;
  readonly label: string;
  readonly requiredMm: number;
  readonly verdict: 'stricter' | 'alike' | 'laxer';
  /** Odds of a crack at its distance; null where that was not worked out. */
  readonly odds: number | null;
}

export interface EdgeTruth {
  readonly kind: 'judged';
  readonly curve: readonly EdgePoint[];
  readonly limitMpa: number;
  /** Least clear distance at which the edge hardly matters any more, mm. */
  readonly byStressMm: number;
  readonly rules: readonly RuleTruth[];
}

/** Why there is nothing to say of the edge. */
export type EdgeUntold =
  | { readonly code: 'no-plate' | 'deep-inside' | 'piece-too-small' }
  | { readonly code: 'faulty'; readonly faults: readonly JobFault[] };

export type EdgeTruthOutcome = EdgeTruth | { readonly kind: 'untold'; readonly why: EdgeUntold };

/** The edge matters while odds by it are this much worse than deep inside. */
const MATTERS = 1.25;
/** So many times as strict as the stress asks, or as lax; between them it is alike. */
const APART = 1.6;
/** Clear distances looked at, in thicknesses. */
const LADDER = [0.5, 1, 1.5, 2, 3, 4, 6, 9] as const;

/**
 * Moves the hole along its way from the nearest edge inwards and calculates the stress at each place:
 * the same force, bed and bit. A rule may still be wise where stress does not ask for it.
 */
export function edgeTruth(
  drillCase: DrillCase,
  judged: readonly JudgedRule[],
  bend: Bend,
): EdgeTruthOutcome {
  const worked = contextOf(drillCase, bend);
  if (worked.kind === 'faulty')
    return { kind: 'untold', why: { code: 'faulty', faults: worked.faults } };
  const { context } = worked;
  if (context.bending.kind !== 'bent') return { kind: 'untold', why: { code: 'no-plate' } };
  const way = inwards(context);
  if (!way) return { kind: 'untold', why: { code: 'deep-inside' } };
  const rules = judged.filter(({ measure }) => measure === 'edge');
  const distances = LADDER.map((times) => times * context.piece.thicknessMm)
    .filter((mm) => mm <= way.maxMm)
    .sort((a, b) => a - b);
  const curve = distances.flatMap(
    (clearMm) => pointAt(drillCase, way.at(clearMm), clearMm, bend) ?? [],
  );
  const deep = curve.at(-1);
  if (!deep || curve.length < 2) return { kind: 'untold', why: { code: 'piece-too-small' } };
  const limitMpa = context.crack.limitMpa;
  const byStressMm =
    curve.find(({ odds, stressMpa }) => odds <= MATTERS * deep.odds && stressMpa <= limitMpa)
      ?.clearMm ?? deep.clearMm;
  return {
    kind: 'judged',
    curve,
    limitMpa,
    byStressMm,
    rules: rules.map((rule) => ruleTruth(rule, byStressMm, curve)),
  };
}

interface Inwards {
  readonly maxMm: number;
  readonly at: (clearMm: number) => PointMm;
}

/** From the edge nearest to the hole, square to it, as far as that stays the nearest edge. */
function inwards({ piece, hole, setup }: PlanContext): Inwards | null {
  const { outline } = piece;
  const here = { xMm: hole.xMm, yMm: hole.yMm };
  const edge = nearestOnEdge(outline, here);
  const towards = distance(edge, here) > 1e-6 ? here : outlineCentre(outline);
  const length = distance(edge, towards);
  if (length < 1e-6) return null;
  const [ux, uy] = [(towards.xMm - edge.xMm) / length, (towards.yMm - edge.yMm) / length];
  const radiusMm = setup.finishing.geometry.diameterMm / 2;
  const at = (clearMm: number): PointMm => ({
    xMm: edge.xMm + ux * (clearMm + radiusMm),
    yMm: edge.yMm + uy * (clearMm + radiusMm),
  });
  let maxMm = 0;
  for (const times of LADDER) {
    const clearMm = times * piece.thicknessMm;
    const place = at(clearMm);
    const isNearest =
      isOnFace(outline, place) &&
      Math.abs(distanceToEdge(outline, place) - clearMm - radiusMm) < 0.5;
    if (!isNearest) break;
    maxMm = clearMm;
  }
  return maxMm > 0 ? { maxMm, at } : null;
}

function pointAt(
  drillCase: DrillCase,
  place: PointMm,
  clearMm: number,
  bend: Bend,
): EdgePoint | null {
  const worked = contextOf(withHole(drillCase, place), bend);
  if (worked.kind === 'faulty' || worked.context.bending.kind !== 'bent') return null;
  const { bending, crack } = worked.context;
  return { clearMm, bendingMpa: bending.stressMpa, stressMpa: crack.stressMpa, odds: crack.total };
}

function ruleTruth(
  { rule, label, requiredMm }: JudgedRule,
  byStressMm: number,
  curve: readonly EdgePoint[],
): RuleTruth {
  const verdict =
    requiredMm > APART * byStressMm
      ? 'stricter'
      : requiredMm * APART < byStressMm
        ? 'laxer'
        : 'alike';
  const there = curve.find(({ clearMm }) => clearMm >= requiredMm - 1e-6);
  return { rule, label, requiredMm, verdict, odds: there?.odds ?? null };
}

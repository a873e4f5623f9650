import type { BarePlan, PlannedStage } from '../documents/plan';
import { formatForce, formatRimSpeed, formatRpm } from '../words/units/formatQuantity';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';
import { easesAtEnd } from '../physics/cutting/stages';
import { drawBit } from './drawBit';
import { drawPiece, drawWater } from './drawSurroundings';
import type { Primitive, Section, SectionLabel } from '../math/primitives';

export interface SectionView {
  readonly pieceThicknessMm: number;
  readonly units: UnitSystem;
  /** Depth at which the rim is drawn, mm from the entry face. */
  readonly atDepthMm: number;
}

/** The plan as a true-to-scale cut through bit, water, piece and what lies behind. */
export function sectionOf(plan: BarePlan, view: SectionView): Section {
  const { units, atDepthMm, pieceThicknessMm: t } = view;
  const D = plan.setup.bitDiameterMm;
  const halfWidthMm = Math.max(0.86 * D, 0.55 * t, (plan.water.coverMm ?? 0) * 1.2);
  const topMm = -Math.max(0.85 * D, 0.3 * t, (plan.water.coverMm ?? 0) + 0.55 * D);
  const backingMm = plan.setup.supportThicknessMm;
  const bottomMm =
    t + Math.min(backingMm, Math.max(0.5 * t, 0.32 * D)) + (backingMm === 0 ? 0.12 * t : 0);
  const stage = stageAt(plan, atDepthMm);

  const primitives: Primitive[] = [
    ...drawPiece(plan, t, halfWidthMm, bottomMm),
    ...drawWater(plan, halfWidthMm, topMm),
    ...drawBit(plan.setup, Math.min(atDepthMm, plan.depthPerSideMm), topMm),
    ...marks(plan, halfWidthMm),
    { kind: 'turn', x: 0, z: topMm * 0.86, radiusMm: D * 0.3, tone: 'rim' },
  ];
  return {
    halfWidthMm,
    topMm,
    bottomMm,
    primitives,
    labels: labels(plan, stage, t, topMm, units),
    description: describe(plan, stage, t, units),
  };
}

/** A telling depth for the rim: well into the main cut that the big numbers speak of. */
export function tellingDepth(plan: BarePlan): number {
  const WELL_INTO = 0.42;
  const main = plan.stages.find(
    (stage) => stage.side === 1 && stage.kind === 'main' && stage.forceN === plan.feedForceN,
  );
  return main
    ? main.fromMm + WELL_INTO * (main.toMm - main.fromMm)
    : WELL_INTO * plan.depthPerSideMm;
}

/** The stage the rim is in at a depth on the first side. */
export function stageAt(plan: BarePlan, depthMm: number): PlannedStage | undefined {
  const first = plan.stages.filter((stage) => stage.side === 1);
  return first.find((stage) => depthMm < stage.toMm) ?? first.at(-1);
}

function marks(plan: BarePlan, halfWidthMm: number): Primitive[] {
  const ease = plan.easeOffAtMm;
  const tick = (z: number, length: number, heavy: boolean): Primitive => ({
    kind: 'line',
    x0: -halfWidthMm,
    x1: -halfWidthMm * (1 - length),
    z0: z,
    z1: z,
    tone: 'ink',
    heavy,
  });
  return [
    tick(0, 0.16, true),
    tick(plan.depthPerSideMm, 0.16, true),
    ...plan.lifts.map((z) => tick(z, 0.07, false)),
    ...plan.coreBreaksAtMm.map((z) => tick(z, 0.22, true)),
    ...plan.water.changeAtDepthMm.map((z): Primitive => ({
      kind: 'line',
      x0: halfWidthMm * 0.88,
      x1: halfWidthMm,
      z0: z,
      z1: z,
      tone: 'water',
      heavy: true,
    })),
    ...(ease === null
      ? []
      : [
          {
            kind: 'line' as const,
            x0: -halfWidthMm,
            x1: halfWidthMm,
            z0: ease,
            z1: ease,
            tone: 'rim' as const,
            dashed: true,
          },
        ]),
  ];
}

function labels(
  plan: BarePlan,
  stage: PlannedStage | undefined,
  t: number,
  topMm: number,
  units: UnitSystem,
): SectionLabel[] {
  const depth = plan.depthPerSideMm;
  const named = plan.layers.length > 1 ? plan.layers : [];
  return [
    { side: 'left', z: 0, text: '0', tone: 'muted' },
    { side: 'left', z: depth, text: formatLengthShort(depth, units), tone: 'ink', strong: true },
    ...(depth < t - 1e-9
      ? [{ side: 'left' as const, z: t, text: formatLengthShort(t, units), tone: 'muted' as const }]
      : []),
    ...(plan.easeOffAtMm === null
      ? []
      : [
          {
            side: 'right' as const,
            z: plan.easeOffAtMm,
            text: easesAtEnd(plan.stages)
              ? `Ease off ${formatLengthShort(markedDepth(plan.easeOffAtMm), units)}`
              : `Last ${formatLengthShort(depth - plan.easeOffAtMm, units)}`,
            tone: 'rim' as const,
            strong: true,
          },
        ]),
    ...(plan.water.coverMm === null
      ? []
      : [
          {
            side: 'right' as const,
            z: -plan.water.coverMm,
            text: `Water ${formatLengthShort(plan.water.coverMm, units)}`,
            tone: 'water' as const,
          },
        ]),
    ...plan.coreBreaksAtMm.map((z) => ({
      side: 'right' as const,
      z,
      text: 'Break core',
      tone: 'ink' as const,
    })),
    ...named.map((layer) => ({
      side: 'layer' as const,
      z: (layer.fromMm + layer.toMm) / 2,
      text: layer.name,
      tone: 'ink' as const,
    })),
    {
      side: 'force',
      z: topMm,
      text: formatForce(stage?.forceN ?? plan.feedForceN, units),
      tone: 'rim',
      strong: true,
    },
    { side: 'speed', z: topMm * 0.86, text: formatRpm(stage?.rpm ?? plan.rpm), tone: 'rim' },
  ];
}

function describe(
  plan: BarePlan,
  stage: PlannedStage | undefined,
  t: number,
  units: UnitSystem,
): string {
  const ease =
    plan.easeOffAtMm === null
      ? 'a blind hole'
      : `${easesAtEnd(plan.stages) ? 'ease off' : 'nearly through'} from ${formatLengthShort(plan.easeOffAtMm, units)}`;
  return (
    [
      `Section to scale: ${plan.setup.bitName}, ${formatLengthShort(plan.setup.bitDiameterMm, units)} across, in ${plan.layers.map((layer) => layer.name).join(', ')} ${formatLengthShort(t, units)} thick`,
      `${plan.water.name}${plan.water.coverMm === null ? '' : `, ${formatLengthShort(plan.water.coverMm, units)} over the face`}`,
      plan.setup.supportKind === 'nothing' ? 'nothing behind' : `${plan.setup.supportName} behind`,
      `press with ${formatForce(stage?.forceN ?? plan.feedForceN, units)} at ${formatRimSpeed(plan.rimSpeedMPerS, units)}`,
      `${plan.lifts.length} lifts, ${ease}`,
    ].join('; ') + '.'
  );
}

/** Depths beyond this are marked on the drawing to the millimetre. */
const FINE_UP_TO_MM = 100;
const markedDepth = (mm: number): number => (mm > FINE_UP_TO_MM ? Math.round(mm) : mm);

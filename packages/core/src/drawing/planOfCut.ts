import type { Face } from '../data/operations';
import type { BarePlan, PlannedOperation, PlannedStage } from '../documents/plan';

/** What of a cut is drawn. Depths from its own face, mm. */
export interface DrawnCut {
  readonly face: Face;
  readonly toMm: number;
  readonly bitName: string;
  readonly diameterMm: number;
  readonly rimWidthMm: number;
  readonly solid: boolean;
  readonly dry: boolean;
  readonly liftsAtMm: readonly number[];
  readonly stages: readonly Omit<PlannedStage, 'side'>[];
}

/** The plan as one of its cuts is drawn: its bit, its depth and lifts, the leaves as they lie under its own face. */
export function planOfCut(plan: BarePlan, cut: DrawnCut): BarePlan {
  const totalMm = plan.layers.at(-1)?.toMm ?? plan.depthMm;
  const seen = ({ fromMm, toMm, ...rest }: BarePlan['layers'][number]) => ({
    ...rest,
    fromMm: totalMm - toMm,
    toMm: totalMm - fromMm,
  });
  return {
    ...plan,
    depthPerSideMm: cut.toMm,
    lifts: cut.liftsAtMm,
    stages: cut.stages.map((stage) => ({ ...stage, side: 1 })),
    easeOffAtMm: cut.stages.find(({ kind }) => kind === 'exit')?.fromMm ?? null,
    coreBreaksAtMm: [],
    water: cut.dry
      ? { ...plan.water, method: 'none', fillL: null, coverMm: null, changeAtDepthMm: [] }
      : plan.water,
    layers: cut.face === 'near' ? plan.layers : [...plan.layers].reverse().map(seen),
    setup: {
      ...plan.setup,
      bitName: cut.bitName,
      bitDiameterMm: cut.diameterMm,
      rimWidthMm: cut.rimWidthMm,
      solid: cut.solid,
    },
  };
}

/** A planned operation as it is drawn; null where nothing is cut. */
export function drawnCut(one: PlannedOperation): DrawnCut | null {
  const { face, toMm, bitName, bitDiameterMm, rimWidthMm, solid, liftsAtMm, stages, wet } = one;
  if (bitName === null || bitDiameterMm === null) return null;
  return {
    face,
    toMm,
    bitName,
    diameterMm: bitDiameterMm,
    rimWidthMm: rimWidthMm ?? bitDiameterMm / 2,
    solid: solid ?? false,
    dry: !wet,
    liftsAtMm,
    stages,
  };
}

import type { Around, Pause } from '../physics/cutting/pauses';
import type { PressedCut } from '../physics/cutting/pressedTime';
import type { Passes } from '../physics/cutting/passes';
import type { Boiling } from '../physics/heat/boiling';
import type { JudgedGates } from '../setup/hazards/judgeHazards';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import type { ThicknessSpread } from '../layout/thickness';
import type { Bending } from '../documents/bending';
import type { CrackOdds } from '../physics/strength/crackOdds';
import type { CrackCase } from './planCrack';
import type { PlannedPurpose } from '../layout/purposes/plannedPurpose';
import type { PossibleMaterial } from '../setup/possibilities';
import type { Material } from '../data/materials/material';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import type {
  ChipSpread,
  PlannedPilot,
  PlannedStage,
  TimeSpread,
  WaterPlan,
} from '../documents/plan';
import type { ExitPlan } from './planStages';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** Everything worked out: numbers and codes, put into words elsewhere. */
export interface PlanContext extends PlannedPurpose {
  readonly piece: Piece;
  readonly hole: Hole;
  /** What the bit meets first. */
  readonly face: Material;
  readonly setup: ResolvedSetup;
  readonly depthMm: number;
  readonly depthPerSideMm: number;
  readonly opensFarFace: boolean;
  readonly layers: readonly LayerCut[];
  /** The slowest layer's cut: what the big numbers show. */
  readonly headline: MaterialCut;
  readonly exit: ExitPlan | null;
  readonly stages: readonly PlannedStage[];
  readonly lifts: readonly number[];
  readonly passes: Passes;
  readonly water: WaterPlan;
  readonly time: TimeBreakdown;
  readonly chip: ChipSpread | null;
  readonly tempRiseK: number;
  readonly conductionWPerM2K: number;
  readonly boiling: Boiling;
  readonly thermalStressMpa: number;
  readonly bitLife: {
    readonly lifeDepthMm: number;
    readonly lifeP10Mm: number;
    readonly lifeP90Mm: number;
    readonly sharpnessAfter: number;
  };
  readonly gates: JudgedGates;
  readonly thickness: ThicknessSpread;
  /** What the piece may be, where nobody is sure. */
  readonly possible: readonly PossibleMaterial[];
  readonly bending: Bending;
  readonly crackCase: CrackCase;
  readonly crack: CrackOdds;
}

export interface TimeBreakdown {
  /** null when some stage does not cut at all. */
  readonly spread: TimeSpread | null;
  /** Setting up and taking down with it; null when some stage does not cut at all. */
  readonly altogether: TimeSpread | null;
  readonly cuttingS: number;
  /** Rests the arms need while they press, s; and over the cutting. */
  readonly restsS: number;
  readonly restShare: number;
  /** Between first touch and through, s. */
  readonly pauses: Readonly<Record<Pause, number>>;
  readonly pausesS: number;
  /** Before and after, s. */
  readonly around: Readonly<Record<Around, number>>;
  /** Everything that is cut, with its rests, by how hard it is pressed. */
  readonly cuts: readonly PressedCut[];
  /** sd of ln(cutting time). */
  readonly sd: number;
  readonly pilots: readonly PlannedPilot[];
}

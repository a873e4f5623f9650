import type { Passes } from '../cutting/passes';
import type { JudgedGates } from '../hazards/judgeHazards';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import type { ThicknessSpread } from '../job/thickness';
import type { Bending } from '../plate/bendingScene';
import type { CrackOdds } from '../risk/crackOdds';
import type { PlannedPurpose } from './planPurpose';
import type { PossibleMaterial } from './possibilities';
import type { UnitSystem } from '../units/unitSystem';
import type { LayerCut, MaterialCut } from './cutLayers';
import type { ChipSpread, PlannedPilot, PlannedStage, TimeSpread, WaterPlan } from './plan';
import type { ExitPlan } from './planStages';
import type { ResolvedSetup } from './resolvedSetup';

/** Everything worked out before it is put into words. */
export interface PlanContext extends PlannedPurpose {
  readonly piece: Piece;
  readonly hole: Hole;
  readonly units: UnitSystem;
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
  readonly thermalStressMpa: number;
  readonly bitLife: { readonly lifeDepthMm: number; readonly sharpnessAfter: number };
  readonly gates: JudgedGates;
  readonly thickness: ThicknessSpread;
  /** What the piece may be, where nobody is sure. */
  readonly possible: readonly PossibleMaterial[];
  readonly bending: Bending;
  readonly crack: CrackOdds;
}

export interface TimeBreakdown {
  /** null when some stage does not cut at all. */
  readonly spread: TimeSpread | null;
  readonly cuttingS: number;
  readonly liftsS: number;
  readonly waterChangesS: number;
  readonly coreBreaksS: number;
  readonly seatCentreS: number;
  readonly bitSwapsS: number;
  /** sd of ln(cutting time). */
  readonly sd: number;
  readonly pilots: readonly PlannedPilot[];
}

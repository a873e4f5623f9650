import type { Boiling } from '../physics/heat/boiling';
import type { HazardCode, JudgedGates } from '../setup/hazards/judgeHazards';
import type { Hole } from '../documents/hole';
import type { Coupling } from '../documents/kit';
import type { Piece } from '../documents/piece';
import type { ThicknessSpread } from '../layout/thickness';
import type { Bending } from '../documents/bending';
import type { CrackOdds } from '../physics/strength/crackOdds';
import type { CrackCase } from './planCrack';
import type { PlannedPurpose } from '../layout/purposes/plannedPurpose';
import type { PossibleMaterial } from '../setup/possibilities';
import type { Material } from '../data/materials/material';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import type { ChipSpread, FromLog, PlannedStage, WaterPlan } from '../documents/plan';
import type { ResolvedOperation } from '../setup/operations/operation';
import type { CoreOut, Passes } from './planCores';
import type { CutPlan } from './planCut';
import type { ExitPlan } from './planStages';
import type { BitLife } from './planRim';
import type { OperationTime, TimeBreakdown } from './planTime';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** One operation worked out: a cut, or work of hands. */
export interface WorkedOperation {
  readonly operation: ResolvedOperation;
  readonly cut: CutPlan | null;
  /** It brings the hole to its size somewhere, rather than going before a wider bit. */
  readonly finishes: boolean;
  /** The core that comes out here. */
  readonly core: CoreOut | null;
  readonly time: OperationTime;
  /** The open gates it raises. */
  readonly gates: readonly HazardCode[];
}

/** Everything worked out: numbers and codes, put into words elsewhere. */
export interface PlanContext extends PlannedPurpose {
  readonly piece: Piece;
  readonly hole: Hole;
  /** What the bit meets first. */
  readonly face: Material;
  /** What is done, in order. */
  readonly operations: readonly WorkedOperation[];
  /** The cut whose leaf goes slowest, with every bit of the hole. */
  readonly setup: ResolvedSetup;
  readonly depthMm: number;
  readonly depthPerSideMm: number;
  readonly opensFarFace: boolean;
  /** How far the cuts from both faces may miss each other, mm; null where there is one face. */
  readonly crossingMm: number | null;
  readonly layers: readonly LayerCut[];
  /** The slowest layer's cut: what the big numbers show. */
  readonly headline: MaterialCut;
  readonly exit: ExitPlan | null;
  readonly stages: readonly PlannedStage[];
  readonly lifts: readonly number[];
  readonly passes: Passes;
  /** What of one’s own carries the bit where it does not reach. */
  readonly extension: Coupling | null;
  readonly water: WaterPlan;
  readonly time: TimeBreakdown;
  readonly chip: ChipSpread | null;
  readonly tempRiseK: number;
  readonly conductionWPerM2K: number;
  readonly boiling: Boiling;
  readonly thermalStressMpa: number;
  readonly bitLife: BitLife;
  readonly gates: JudgedGates;
  readonly thickness: ThicknessSpread;
  /** What the piece may be, where nobody is sure. */
  readonly possible: readonly PossibleMaterial[];
  readonly bending: Bending;
  /** The main cut’s, with what the end of the hole adds. */
  readonly crackCase: CrackCase;
  /** Of each cut. */
  readonly crackCases: readonly CrackCase[];
  readonly crack: CrackOdds;
  /** What it takes from the log; null where that tells nothing. */
  readonly fromLog: FromLog | null;
}

/** The cuts of a hole, in order. */
export const cutsOf = ({ operations }: Pick<PlanContext, 'operations'>): readonly CutPlan[] =>
  operations.flatMap(({ cut }) => (cut ? [cut] : []));

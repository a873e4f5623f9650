import type { Face, Help, OperationKindId } from '../data/operations';
import type { StepKind } from '../data/phases';
import type { Gate } from './gate';
import type { Hold, Pace, Start, MaterialClass } from '../data/choices';
import type { FeedAidId } from '../data/machines/feedAids';
import type { Bending } from './bending';
import type { Fit } from './fit';
import type { Reason } from './reason';

/** Named in every stored plan: bumped when a formula or its constants change. */
export const MODEL_VERSION = '2.1.0';

export interface Step {
  readonly kind: StepKind;
  readonly title: string;
  readonly detail: string;
  readonly fromDepthMm?: number;
  readonly toDepthMm?: number;
  /** Every depth at which it is done, mm, where it is done more than once. */
  readonly depthsMm?: readonly number[];
}

export const WARNING_CODES = [
  'bends-too-far',
  'bit-off-size',
  'bit-outside-fit',
  'bit-overspeed',
  'bit-too-short',
  'bit-worn',
  'boils-dry',
  'chip-wider-than-allowed',
  'does-not-cut',
  'exit-force-below-glaze',
  'extension-needed',
  'force-beyond-arms',
  'material-not-sure',
  'not-held',
  'overheats',
  'polishes',
  'power-limited',
  'presses-too-hard',
  'purpose-clash',
  'speed-above-window',
  'speed-below-window',
  'speed-limited',
  'torque-limited',
  'wrong-bit-for-material',
] as const;
export type WarningCode = (typeof WARNING_CODES)[number];

export interface Warning {
  readonly code: WarningCode;
  readonly message: string;
}

/** Middle value with the tenth and ninetieth of a hundred like tries. */
export interface TimeSpread {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

export interface ChipSpread {
  readonly p50: number;
  readonly p90: number;
}

export interface WaterPlan {
  readonly method: string;
  readonly name: string;
  /** Litres to pour; null where water does not stand. */
  readonly fillL: number | null;
  readonly coverMm: number | null;
  readonly changeAtDepthMm: readonly number[];
  readonly holesPerFill: number | null;
  readonly flowLPerMin: number | null;
  readonly secondsPerCup: number | null;
  readonly slurryL: number | null;
  /** Depth at which running water is shut to keep the room behind dry, mm; null where it is not. */
  readonly offAtMm: number | null;
  readonly finesG: number;
}

export interface PlannedLayer {
  readonly material: string;
  readonly name: string;
  /** null for a cavity. */
  readonly class: MaterialClass | null;
  readonly fromMm: number;
  readonly toMm: number;
  /** null for a cavity: nothing to cut. */
  readonly cut: {
    readonly rpm: number;
    readonly feedForceN: number;
    readonly rateMmPerS: number;
    readonly cuttingTimeS: number | null;
  } | null;
}

/** The choices the plan was made with, the person's own or the planner's. */
export interface PlannedSetup {
  readonly bitId: string | null;
  readonly bitName: string;
  readonly bitFamily: string;
  readonly bitDiameterMm: number;
  readonly rimWidthMm: number;
  readonly solid: boolean;
  readonly sharpness: number;
  readonly usableDepthMm: number;
  readonly machineId: string | null;
  readonly machineName: string;
  readonly machineKind: string;
  readonly supportKind: string;
  readonly supportName: string;
  readonly supportThicknessMm: number;
  readonly edgesHeld: 'none' | 'two' | 'four';
  readonly waterKind: string;
  readonly hold: Hold;
  readonly start: Start;
  readonly pace: Pace;
  readonly sides: 'one' | 'two';
  readonly feedAid: FeedAidId;
  /** Which of these the planner filled in. */
  readonly assumed: readonly string[];
}

/** A stretch of depth drilled at one force and speed. */
export interface Stage {
  readonly kind: 'seat' | 'main' | 'exit';
  readonly fromMm: number;
  readonly toMm: number;
  readonly forceN: number;
  readonly rpm: number;
}

export type PlannedStage = Stage & { readonly side: 1 | 2; readonly timeS: number | null };

export const MOMENT_KINDS = [
  'seat',
  'leaf',
  'cavity',
  'core-break',
  'core-drop',
  'bit-change',
  'chisel',
  'extension',
  'water-change',
  'water-off',
  'flip',
  'ease-off',
  'end',
] as const;
export type MomentKind = (typeof MOMENT_KINDS)[number];

/** One thing that happens on the way down. */
export interface Moment {
  readonly kind: MomentKind;
  readonly side: 1 | 2;
  /** Depth from the face it is drilled from, mm. */
  readonly depthMm: number;
  /** Since the first touch, s; null when it would not cut so far. */
  readonly atS: number | null;
  /** How long it halts the cut, s. */
  readonly haltS: number;
  readonly title: string;
  readonly detail: string;
}

/** A smaller bit that goes down the whole way before the finishing one. */
export interface PlannedPilot {
  /** null where the planner took a new one; absent in runs planned by model 1.7 and before. */
  readonly bitId?: string | null;
  readonly bitName: string;
  /** Depth cut in this material until half its bite is gone, mm; absent with it. */
  readonly lifeDepthMm?: number;
  readonly diameterMm: number;
  readonly rimWidthMm: number;
  readonly solid: boolean;
  readonly rpm: number;
  readonly forceN: number;
  /** null where it does not cut. */
  readonly timeS: number | null;
}

/** A bar met on the way: how the bit on the drill goes through it. */
export interface PlannedBar {
  readonly rpm: number;
  readonly feedForceN: number;
  readonly rateMmPerS: number;
  /** Depth cut in it until half the bite is gone, mm. */
  readonly lifeDepthMm: number;
}

/**
 * One operation of a hole as it is planned. Depths from its own face, mm; what only a cut has is null or 0 for
 * work of hands.
 */
export interface PlannedOperation {
  readonly id: string;
  readonly does: OperationKindId;
  readonly face: Face;
  readonly fromMm: number;
  readonly toMm: number;
  /** null where the planner took a new one. */
  readonly bitId: string | null;
  readonly bitName: string | null;
  readonly bitFamily: string | null;
  readonly bitDiameterMm: number | null;
  readonly rimWidthMm: number | null;
  readonly solid: boolean | null;
  readonly usableDepthMm: number | null;
  /** Depth cut in this material until half its bite is gone, mm. */
  readonly lifeDepthMm: number | null;
  readonly machineId: string | null;
  readonly machineName: string | null;
  readonly waterKind: string | null;
  /** The owned extension that carries the bit to its depth; null where none is wanted, or none will do. */
  readonly extensionId: string | null;
  readonly extensionName: string | null;
  readonly wet: boolean;
  readonly hammer: boolean;
  readonly hold: Hold | null;
  readonly helper: Help | null;
  readonly rpm: number | null;
  readonly feedForceN: number | null;
  /** Mean over its leaves at their main force, mm/s; null where it does not cut. */
  readonly rateMmPerS: number | null;
  /** With its own pauses; null where it does not cut. */
  readonly timeS: TimeSpread | null;
  readonly lifts: number;
  readonly liftsAtMm: readonly number[];
  readonly waterChanges: number;
  readonly waterChangesAtMm: readonly number[];
  readonly waterOffAtMm: number | null;
  /** What it adds to the depth its bit has cut, mm. */
  readonly bitDepthMm: number;
  /** null where no bar is to be met, or the bit does not cut one; absent in plans of model 2.0 and before. */
  readonly bar?: PlannedBar | null;
  /** Longest core the barrel takes, mm; null for a solid bit, absent with `bar`. */
  readonly boreDepthMm?: number | null;
  /** From the rim up to collar or tape, mm; absent with `bar`. */
  readonly collarAtMm?: number | null;
  /** Rim to holder, with what the bit is put on, mm; absent with `bar`. */
  readonly sticksOutMm?: number | null;
  /** How it ends: it opens a face, meets what was cut from the other, comes into a cavity, or stops inside. */
  readonly ends: 'face' | 'meets' | 'cavity' | 'inside' | null;
  readonly stages: readonly PlannedStage[];
  /** Dwell of a solid bit whose centre has no speed, s. */
  readonly seatCentreS: number;
  /** How long work of hands halts the drilling, s. */
  readonly haltS: number;
  readonly gates: readonly string[];
  readonly steps: readonly Step[];
}

/** What a run's clock needs beside the stages. */
export interface PlannedClock {
  /** sd of ln(cutting time). */
  readonly sd: number;
  /** Out of the groove and back, s. */
  readonly liftS: number;
  /** Dwell of a solid bit whose centre has no speed, s. */
  readonly seatCentreS: number;
  readonly bitSwapS: number;
  /** Rest the arms need over cutting. */
  readonly restShare?: number;
}

/** What a plan took from the log, and what it would be without. */
export interface FromLog {
  readonly hash: string;
  readonly at: string;
  /** Believed holes in all, and of this stone with this kind of bit. */
  readonly holes: number;
  readonly alike: number;
  /** It takes so many times as long as calculated. */
  readonly times: number;
  /** sd of ln(−ln(1 − crackProbability)) that the log leaves; null where it tells nothing of it. */
  readonly hazardSd: number | null;
  readonly asNew: {
    readonly drillTimeS: TimeSpread | null;
    readonly exitChipMm: ChipSpread | null;
    readonly crackProbability: number;
  };
}

/** Everything known about drilling one hole; all units in the names. */
export interface Plan {
  readonly holeId: string;
  readonly pieceId: string;
  readonly setup: PlannedSetup;
  readonly depthMm: number;
  readonly depthPerSideMm: number;
  /** How far the cuts from both faces may miss each other, mm; null where there is one face, absent in old plans. */
  readonly crossingMm?: number | null;
  readonly rpm: number;
  readonly feedForceN: number;
  readonly seatForceN: number;
  /** Force under which the rim glazes, from which it cuts well, and over which it tears, N. */
  readonly forceWindowN: { readonly glaze: number; readonly low: number; readonly high: number };
  readonly contactPressureMpa: number;
  readonly rimSpeedMPerS: number;
  readonly meanSpeedMPerS: number;
  readonly rateMmPerS: number;
  /** null when the bit would not cut at all. */
  readonly drillTimeS: TimeSpread | null;
  /** With setting up and taking down. */
  readonly altogetherS: TimeSpread | null;
  /** Of the drilling time, what the arms rest. */
  readonly restsS: number;
  readonly torqueNm: number;
  readonly powerW: number;
  readonly tempRiseK: number;
  readonly thermalStressMpa: number;
  /** Greatest tension as the piece bends on what holds it; null where that is not calculated. */
  readonly bendingStressMpa: number | null;
  readonly maxDeflectionMm: number | null;
  /** Share of the bed that loses touch, 0 to 1. */
  readonly liftOffFraction: number | null;
  readonly bending: Bending;
  /** σ_bend + σ_T + built-in, and half of what a drilled edge bears, MPa. */
  readonly totalStressMpa: number;
  readonly stressLimitMpa: number;
  /** null where no far face is opened. */
  readonly exitChipMm: ChipSpread | null;
  readonly exitForceN: number | null;
  readonly easeOffAtMm: number | null;
  readonly lifts: readonly number[];
  readonly passes: number;
  readonly coreBreaksAtMm: readonly number[];
  /** What happens at which depth and after how long, from the first touch to through. */
  readonly timeline: readonly Moment[];
  readonly stages: readonly PlannedStage[];
  readonly pilots: readonly PlannedPilot[];
  /** Everything that is done, in order; absent in plans of model 1.8 and before. */
  readonly operations?: readonly PlannedOperation[];
  readonly clock: PlannedClock;
  readonly layers: readonly PlannedLayer[];
  readonly water: WaterPlan;
  /**
   * Odds that it cracks, from bending, heat, built-in stress and handling; at least this where the
   * bending is not calculated.
   */
  readonly crackProbability: number;
  /** What the chosen purpose asks of the hole; null where none is chosen or filled in. */
  readonly fit: Fit | null;
  /** What the piece may be, likeliest first; empty where the material is known. */
  readonly couldBe: readonly {
    readonly material: string;
    readonly name: string;
    readonly share: number;
  }[];
  readonly bitLife: {
    readonly lifeDepthMm: number;
    readonly lifeP10Mm: number;
    readonly lifeP90Mm: number;
    readonly sharpnessAfter: number;
  };
  readonly gates: readonly Gate[];
  readonly settledGates: readonly Gate[];
  readonly warnings: readonly Warning[];
  readonly steps: readonly Step[];
  readonly reasons: Readonly<Record<string, Reason>>;
  /** What it takes from the log; null where that tells nothing, absent in plans of before. */
  readonly fromLog?: FromLog | null;
  readonly modelVersion: string;
  readonly dataVersion: string;
}

/** A plan without its reasons: what is drawn, and what a run follows. */
export type BarePlan = Omit<Plan, 'reasons'>;

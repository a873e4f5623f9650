import type { Experience } from '@nucleon/core/documents/experience';
import type { LearningReport } from '@nucleon/core/run/learning/learningReport';
import type { Doubt } from '@nucleon/core/run/learning/loggedHole';
import type { BitState } from '@nucleon/core/data/choices';
import type { Fault } from '@nucleon/core/documents/fault';
import type {
  Bit,
  Machine,
  Coupling,
  OwnedGuide,
  OwnedSupport,
  OwnedWater,
} from '@nucleon/core/documents/kit';
import type { GateScope } from '@nucleon/core/documents/gate';
import type { HazardCheck } from '@nucleon/core/documents/hazardCheck';
import type { Hole } from '@nucleon/core/documents/hole';
import type { JobHeader } from '@nucleon/core/documents/job';
import type { Piece } from '@nucleon/core/documents/piece';
import type { House } from '@nucleon/core/documents/house';
import type { Material } from '@nucleon/core/data/materials/material';
import type { Plan } from '@nucleon/core/documents/plan';
import type { NotCovered } from '@nucleon/core/setup/hazards/coverage';
import type { PlanChanges } from '@nucleon/core/words/plan/planChanges';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import type { RunRecord } from '@nucleon/core/run/runRecord';

/** Every stored thing carries the version it was read at; a PUT gives it back. */
export interface Versioned {
  readonly version: number;
  readonly updatedAt: string;
}

export interface JobSummary extends Versioned {
  readonly id: string;
  readonly name: string;
  readonly pieceCount: number;
  readonly holeCount: number;
  /** Holes with an open stop. */
  readonly stoppedCount: number;
  readonly materials: readonly string[];
}

/** A run by what it is of. */
export interface RunOfHole {
  readonly runId: string;
  readonly holeName: string;
  readonly pieceName: string;
}

/** What the front page offers to go on with, a few of each. */
export interface Bench {
  readonly underWay: readonly RunOfHole[];
  /** Holes without a stop that nobody has drilled. */
  readonly toDrill: readonly {
    readonly jobId: string;
    readonly jobName: string;
    readonly pieceName: string;
    readonly holeId: string;
    readonly holeName: string | null;
    readonly diameterMm: number;
  }[];
  /** Drilled, and nobody has said how they came out. */
  readonly noResult: readonly RunOfHole[];
  /** To dress or to change. */
  readonly bits: readonly {
    readonly id: string;
    readonly name: string;
    readonly state: BitState | 'due';
  }[];
}

export interface Page<T> {
  readonly items: readonly T[];
  readonly page: number;
  readonly pageSize: number;
  readonly total: number;
}

/** What lists show of a stored plan. */
export interface PlanHeadline {
  readonly rpm: number;
  readonly feedForceN: number;
  readonly drillTimeS: Plan['drillTimeS'];
  readonly bitName: string;
  readonly bitDiameterMm: number;
  readonly stops: readonly string[];
  /** Checks still to be ticked, and those that were. */
  readonly toConfirm: number;
  readonly settled: number;
  readonly warningCount: number;
  /** What a later model tells otherwise of the same hole, until the hole itself is changed. */
  readonly changed?: PlanChanges;
}

export type StoredHole = Hole & Versioned & { readonly pieceId: string };
export type HoleInList = StoredHole & {
  /** null where it cannot be planned, which `faults` say, or is not planned yet: ask again. */
  readonly headline: PlanHeadline | null;
  readonly faults: readonly Fault[];
  readonly lastRun: HoleRun | null;
};

/** What a hole that cannot be planned reads as, in place of its plan or risk. */
export interface NotPlanned {
  readonly faults: readonly Fault[];
}

/** What lists show of a hole’s latest run. */
export type HoleRun = Pick<
  RunRecord,
  'runId' | 'phase' | 'over' | 'verdict' | 'cracked' | 'openedAt'
>;

/** One run of the logbook; the hole it was of may be gone by now. */
export type StoredRun = RunRecord & { readonly holeGone: boolean };

/** A run with all that happened in it. */
export interface RunDetail {
  readonly run: StoredRun | null;
  readonly events: readonly RunEvent[];
  /** The last entry there is: ask for what came after it. */
  readonly upTo: number;
}

export interface PostEvents {
  readonly events: readonly RunEvent[];
}

/** What became of the events sent: all but the refused are stored, each once. */
export interface EventsTaken {
  readonly upTo: number;
  readonly refused: readonly { readonly id: string; readonly message: string }[];
}

/** A picture kept with a run. */
export interface RunPhoto {
  readonly id: string;
  readonly widthPx: number;
  readonly heightPx: number;
}
export type StoredPiece = Piece & Versioned & { readonly jobId: string };
export type PieceInJob = StoredPiece & { readonly holes: readonly HoleInList[] };
export type StoredJob = JobHeader & Versioned;
export type JobWithMaterials = StoredJob & { readonly customMaterials: readonly Material[] };
export type JobDetail = JobWithMaterials & {
  readonly pieces: readonly PieceInJob[];
};

/** Everything needed to plan one hole on the device. */
export interface HoleDetail {
  readonly job: JobWithMaterials;
  readonly piece: StoredPiece;
  readonly hole: StoredHole;
}

/** A hole by what it is called and where it is. */
export interface HolePlace {
  readonly holeId: string;
  readonly holeName: string | null;
  readonly pieceId: string;
  readonly pieceName: string;
}

/** Which answers of a hole hold at others of its job, and which of theirs hold here. */
export interface Coverage {
  readonly there: readonly {
    readonly hazard: string;
    readonly title: string;
    readonly scope: GateScope;
    readonly answer: string;
    /** Of what is asked once a piece, one hole for each piece. */
    readonly covered: readonly HolePlace[];
    readonly exceptions: readonly (HolePlace & { readonly why: NotCovered })[];
  }[];
  readonly here: readonly {
    readonly hazard: string;
    readonly title: string;
    readonly answer: string;
    /** The answer as it would stand here. */
    readonly check: HazardCheck;
    readonly from: HolePlace;
  }[];
  /** So many holes are not planned yet, and not judged. */
  readonly waiting: number;
}

export interface CoverageTarget {
  readonly hazard: string;
  readonly holeId: string;
}

/** Answers to take from a hole to others, and those to take back from where they were taken. */
export interface PostCoverage {
  readonly take?: readonly CoverageTarget[];
  readonly takeBack?: readonly CoverageTarget[];
}

export interface AnswersTaken {
  readonly taken: readonly CoverageTarget[];
}

/** A piece with all its holes, as they are laid out together. */
export interface PieceLayout {
  readonly job: JobWithMaterials;
  readonly piece: StoredPiece;
  readonly holes: readonly StoredHole[];
}

/** What a layout's PUT sends: only what changed. */
export interface PutLayout {
  readonly piece?: Put<StoredPiece>;
  readonly holes: readonly (Put<StoredHole> & { readonly id: string })[];
  readonly removed?: readonly string[];
  /** Deleted before, and wanted again. */
  readonly restored?: readonly string[];
}

/** So long what is deleted lies in the bin before it is deleted for good. */
export const BIN_DAYS = 30;

export interface BinItem {
  readonly kind: 'job' | 'piece' | 'hole';
  readonly id: string;
  readonly name: string;
  /** A hole’s piece. */
  readonly pieceName?: string;
  readonly deletedAt: string;
  /** When it is deleted for good. */
  readonly emptiedAt: string;
}

export interface Bin {
  readonly items: readonly BinItem[];
}

/** The workshop's habits; version 0 while none is settled. */
export type StoredHouse = House & { readonly version: number };

export type StoredBit = Bit & Versioned;
export type StoredMachine = Machine & Versioned;
export type StoredCoupling = Coupling & Versioned;
export type StoredSupport = OwnedSupport & Versioned;
export type StoredGuide = OwnedGuide & Versioned;
export type StoredWater = OwnedWater & Versioned;

export type StoredPart = StoredCoupling | StoredSupport | StoredGuide | StoredWater;

/** Everything owned beside bits and machines: short lists, read in one go. */
export interface StoredParts {
  readonly couplings: readonly StoredCoupling[];
  readonly supports: readonly StoredSupport[];
  readonly guides: readonly StoredGuide[];
  readonly water: readonly StoredWater[];
}

/** What became of a file: what of it was left is named. */
export interface JobImported {
  readonly jobId: string;
  readonly skipped: readonly {
    readonly runId: string;
    readonly name: string;
    readonly why: string;
  }[];
  readonly left: readonly string[];
  /** Kit that is owned here already, and that the file knows otherwise: the one here was kept. */
  readonly differs: readonly KitDifference[];
}

export interface KitDifference {
  readonly kind: 'bit' | 'machine';
  readonly name: string;
  /** As it is here, and as the file has it under the same id. */
  readonly here: StoredBit | StoredMachine;
  readonly inFile: Bit | Machine;
}

/** Several new bits at once: all of them are stored, or none. */
export interface NewBits {
  readonly bits: readonly Bit[];
}

/** What a PUT sends: the thing's own fields and the version it was read at. */
export type Put<T> = Omit<T, 'id' | 'updatedAt' | 'pieceId' | 'jobId' | 'holes'>;

export const PROBLEM_CODES = [
  'bad-json',
  'busy',
  'conflict',
  'database-unavailable',
  'faulty',
  'foreign-page',
  'gone',
  'locked',
  'not-allowed',
  'not-found',
  'sign-in',
  'storage-full',
  'too-large',
  'too-many',
  'unexpected',
  'wrong-host',
  'wrong-media-type',
] as const;
export type ProblemCode = (typeof PROBLEM_CODES)[number];

/** RFC 9457 problem details; `code` is stable. */
export interface ProblemBody {
  readonly type: string;
  readonly code: ProblemCode;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly faults?: readonly Fault[];
  /** On a conflict: what the server has now; of what is gone: what it was. */
  readonly current?: unknown;
}

/** Something changed: a job or what is in it, a run, the kit or the house’s habits, what the log tells. */
export interface News {
  readonly kind: 'job' | 'run' | 'kit' | 'learned';
  readonly id: string;
}

/** How the server fares. */
export interface Metrics {
  readonly upS: number;
  readonly latency: {
    readonly answered: number;
    /** By a fault of the server's own, 500 and above. */
    readonly failed: number;
    readonly p50Ms: number;
    readonly p95Ms: number;
    readonly p99Ms: number;
  };
  /** Calculations that wait for a thread. */
  readonly heavyWaiting: number;
  readonly memoryBytes: number;
  /** null where the database is kept elsewhere. */
  readonly disk: {
    readonly freeBytes: number;
    readonly totalBytes: number;
    /** Little enough to be said on the screen. */
    readonly low: boolean;
  } | null;
  readonly newestBackupAt: string | null;
}

/** What the log tells, and how well it knows. */
export interface LearnedLog {
  /** null of a log that tells nothing yet. */
  readonly experience: Experience | null;
  readonly report: LearningReport | null;
  /** Runs that are not believed, or that a person left out. */
  readonly doubted: readonly {
    readonly runId: string;
    readonly holeName: string;
    readonly pieceName: string;
    readonly at: string;
    readonly doubts: readonly Doubt[];
    /** A person put it back. */
    readonly isPutBack: boolean;
  }[];
  /** ISO 8601. */
  readonly learnedAt: string | null;
  /** Runs have come since, and are being learned from: ask again. */
  readonly isBehind: boolean;
}

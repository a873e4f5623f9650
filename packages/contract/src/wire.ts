import type { Fault } from '@nucleon/core/documents/fault';
import type {
  Bit,
  Machine,
  Coupling,
  OwnedGuide,
  OwnedSupport,
  OwnedWater,
} from '@nucleon/core/documents/kit';
import type { Hole } from '@nucleon/core/documents/hole';
import type { JobHeader } from '@nucleon/core/documents/job';
import type { Piece } from '@nucleon/core/documents/piece';
import type { House } from '@nucleon/core/documents/house';
import type { Material } from '@nucleon/core/data/materials/material';
import type { Plan } from '@nucleon/core/documents/plan';
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
  'not-found',
  'storage-full',
  'too-large',
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

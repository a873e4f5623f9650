import type { BitFamilyId } from '../data/bits/bitFamilies';
import type { CoolantId } from '../data/coolants';
import type { ConnectionId } from '../data/couplings/connections';

/** What clashes in a job, with the values that clash. */
export type Clash =
  | { readonly code: 'same-id'; readonly what: IdentifiedThing; readonly id: string }
  | { readonly code: 'hole-twice-in-piece' | 'hole-in-another-piece'; readonly id: string }
  | {
      readonly code: 'hole-in-many-pieces';
      readonly id: string;
      readonly pieces: readonly string[];
    }
  | { readonly code: 'no-such-hole'; readonly id: string; readonly job: string }
  | { readonly code: 'too-few-points' | 'cavity-at-face' }
  | { readonly code: 'too-many-bulges'; readonly bulges: number; readonly sides: number }
  | { readonly code: 'outline-crosses-itself'; readonly xMm: number; readonly yMm: number }
  | { readonly code: 'material-unknown'; readonly id: string }
  | {
      readonly code: 'window-falls';
      readonly material: string;
      readonly name: string;
      readonly value: number;
      readonly lower: string;
      readonly min: number;
      readonly unit: string;
    }
  | {
      readonly code: 'outside-readings';
      readonly thicknessMm: number;
      readonly thinnestMm: number;
      readonly thickestMm: number;
    }
  | {
      readonly code: 'readings-apart';
      readonly thinnestMm: number;
      readonly thickestMm: number;
      readonly mostMm: number;
    }
  | { readonly code: 'shares-not-one'; readonly shares: number }
  | {
      readonly code: 'layers-not-thickness';
      readonly totalMm: number;
      readonly thicknessMm: number;
    }
  | {
      readonly code: 'goes-through';
      readonly depth: 'blind' | 'ring';
      readonly depthMm: number;
      readonly thicknessMm: number;
    }
  | ({ readonly code: 'hole-off-piece'; readonly hole: string } & PlacedOn)
  | {
      readonly code: 'hole-over-edge';
      readonly hole: string;
      readonly piece: string;
      readonly diameterMm: number;
      readonly clearMm: number;
    }
  | {
      readonly code: 'bit-not-in-kit' | 'machine-not-in-kit' | 'coupling-not-in-kit';
      readonly id: string;
      readonly known: readonly string[];
    }
  | {
      readonly code: 'bit-bigger-than-piece';
      readonly bit: string;
      readonly diameterMm: number;
      readonly acrossMm: number;
    }
  | { readonly code: 'rim-too-wide'; readonly rimWidthMm: number; readonly diameterMm: number }
  | { readonly code: 'bore-too-deep'; readonly boreDepthMm: number; readonly bitMm: number }
  | { readonly code: 'barrel-too-wide'; readonly barrelMm: number; readonly diameterMm: number }
  | { readonly code: 'speeds-fall'; readonly minRpm: number; readonly maxRpm: number }
  | {
      readonly code: 'pinion-over-lever';
      readonly pinionRadiusMm: number;
      readonly leverArmMm: number;
    }
  | { readonly code: 'extension-without-length'; readonly name: string }
  | { readonly code: 'size-in-name'; readonly kind: ConnectionId; readonly sizeMm: number }
  | { readonly code: 'chuck-closes-on-nothing'; readonly leastMm: number; readonly mostMm: number }
  | {
      readonly code: 'patch-without-size';
      readonly what: 'pad' | 'board';
      readonly widthMm: number;
      readonly heightMm: number;
    }
  | ({ readonly code: 'patch-off-piece'; readonly what: 'pad' | 'board' } & Omit<PlacedOn, 'piece'>)
  | { readonly code: 'board-without-thickness' | 'clamp-without-pad' }
  | ({ readonly code: 'clamp-off-piece'; readonly padDiameterMm: number } & Omit<PlacedOn, 'piece'>)
  | {
      readonly code: 'no-such-question';
      readonly id: string;
      readonly about: string;
      readonly known: readonly string[];
    }
  | {
      readonly code: 'no-such-answer';
      readonly id: string;
      readonly answer: string;
      readonly known: readonly string[];
    }
  | OperationClash;

/** What clashes in a list of operations. Depths from the operation’s own face. */
type OperationClash =
  | {
      readonly code: 'operation-without-depth';
      readonly name: string;
      readonly fromMm: number;
      readonly toMm: number;
    }
  | {
      readonly code: 'operation-too-deep';
      readonly name: string;
      readonly toMm: number;
      readonly bottomMm: number;
    }
  | {
      readonly code: 'operation-starts-in-uncut';
      readonly name: string;
      readonly fromMm: number;
      readonly openToMm: number;
    }
  | {
      readonly code: 'bit-wider-than-hole';
      readonly bit: string;
      readonly diameterMm: number;
      readonly openMm: number;
      readonly fromMm: number;
    }
  | {
      readonly code: 'operations-overlap';
      readonly name: string;
      readonly fromMm: number;
      readonly toMm: number;
      readonly diameterMm: number;
    }
  | {
      readonly code: 'core-longer-than-barrel';
      readonly name: string;
      readonly bit: string;
      readonly coreMm: number;
      readonly barrelMm: number;
    }
  | {
      readonly code: 'operation-out-of-reach';
      readonly name: string;
      readonly bit: string;
      readonly toMm: number;
      readonly reachMm: number;
    }
  | {
      readonly code: 'coupling-wider-than-hole';
      readonly coupling: string;
      readonly diameterMm: number;
      readonly holeMm: number;
    }
  | { readonly code: 'hammer-on-diamond'; readonly bit: string; readonly family: BitFamilyId }
  | { readonly code: 'machine-without-hammer'; readonly machine: string }
  | { readonly code: 'wet-through-dry-tool'; readonly bit: string; readonly water: CoolantId }
  | { readonly code: 'dry-diamond-in-glass'; readonly bit: string; readonly material: string }
  | { readonly code: 'no-such-leaf'; readonly leaf: number; readonly leaves: number }
  | {
      readonly code: 'far-face-of-blind';
      readonly name: string;
      readonly depthMm: number;
      readonly thicknessMm: number;
    }
  | { readonly code: 'operations-cut-nothing'; readonly count: number }
  | {
      /** Depths from the near face. */
      readonly code: 'operations-leave-gap';
      readonly fromMm: number;
      readonly toMm: number;
      readonly openMm: number;
      readonly wantedMm: number;
    };

interface PlacedOn {
  readonly piece: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export type IdentifiedThing =
  | 'piece'
  | 'material'
  | 'marked place'
  | 'band'
  | 'operation'
  | 'bit'
  | 'machine'
  | 'coupling'
  | 'support'
  | 'guide'
  | 'water';

/** A clash, and where it lies (JSON pointer). */
export type JobFault = { readonly pointer: string } & Clash;

export type Add = (pointer: string, clash: Clash) => void;

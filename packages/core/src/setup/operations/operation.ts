import type { Face, HandKindId, Help, OperationKindId } from '../../data/operations';
import type { Coupling } from '../../documents/kit';
import type { ResolvedSetup } from '../resolvedSetup';

interface OperationHead {
  readonly id: string;
  readonly does: OperationKindId;
  readonly face: Face;
  readonly helper: Help | null;
}

/** A bit going down over a range of depth, with everything it is done with. Depths from its own face, mm. */
export interface CutOperation extends OperationHead {
  readonly kind: 'cut';
  readonly fromMm: number;
  readonly toMm: number;
  readonly setup: ResolvedSetup;
  /** Chosen to stand between machine and bit, machine first. */
  readonly couplings: readonly Coupling[];
}

/** Work of hands at a depth of its face, mm. */
export interface HandOperation extends OperationHead {
  readonly kind: 'hand';
  readonly does: HandKindId;
  readonly atMm: number;
}

export type ResolvedOperation = CutOperation | HandOperation;

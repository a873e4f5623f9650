import type { Piece } from '../../documents/piece';
import { anchor } from './anchor';
import { beadBore } from './beadBore';
import { blindRing } from './blindRing';
import type { Purpose } from './definePurpose';
import { drainage } from './drainage';
import { drainFlow } from './drainFlow';
import type { FitScene, Sizing } from './fit';
import { hangingCord } from './hangingCord';
import { hangingRing } from './hangingRing';
import { kilnFired } from './kilnFired';
import { pieceMass } from './pieceMass';
import { pipe } from './pipe';
import { postSocket } from './postSocket';
import { shaft } from './shaft';
import { tankFitting } from './tankFitting';
import { tubeRivet } from './tubeRivet';
import { wallPlug } from './wallPlug';
import type { Material } from '../../data/materials/material';

/** Every purpose a hole is drilled for, by its name in the job file. */
export const PURPOSES = {
  pipe,
  'tank-fitting': tankFitting,
  'drain-flow': drainFlow,
  drainage,
  'tube-rivet': tubeRivet,
  'hanging-ring': hangingRing,
  'hanging-cord': hangingCord,
  'bead-bore': beadBore,
  'wall-plug': wallPlug,
  'post-socket': postSocket,
  anchor,
  'blind-ring': blindRing,
  'kiln-fired': kilnFired,
  shaft,
} as const satisfies Record<string, Purpose>;

export type PurposeKind = keyof typeof PURPOSES;
export const PURPOSE_KINDS = Object.keys(PURPOSES) as readonly PurposeKind[];

export const isPurposeKind = (kind: string): kind is PurposeKind => Object.hasOwn(PURPOSES, kind);

/** A hole's purpose as the job file has it: its kind and what is known of the part. */
export interface PurposeOfHole {
  readonly kind: string;
  readonly [field: string]: unknown;
}

/** What a calculator needs to know of a piece. */
export const sceneOf = (
  piece: Pick<Piece, 'thicknessMm' | 'outline' | 'form'>,
  material: Material | undefined,
): FitScene => ({
  thicknessMm: piece.thicknessMm,
  pieceMassKg: material ? pieceMass(piece, material.densityKgPerM3) : null,
});

/** What a hole's purpose asks of it; null for a purpose this version does not know. */
export function sizeFor(purpose: PurposeOfHole, scene: FitScene): Sizing | null {
  const { kind, ...given } = purpose;
  return isPurposeKind(kind) ? PURPOSES[kind].size(given, scene) : null;
}

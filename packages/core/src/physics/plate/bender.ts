import { preparePiece, pressPiece, type PieceOutcome, type Pressed } from './bendPiece';
import type { BendingScene } from './bendingScene';

/** Bends a piece; may remember what it has bent before. */
export type Bend = (scene: BendingScene) => Pressed;

/** Leaves the bending to be worked out later. */
export const bendLater: Bend = () => ({ bending: { kind: 'declined', why: 'later' }, field: null });

/** A bend with a memory, and what it knows without working anything out. */
export interface Bender {
  readonly bend: Bend;
  /** The same where it was bent before; later where it was not. */
  readonly known: Bend;
}

/**
 * Keeps the last pieces it factored, so that a changed force is a re-solve and a question asked again
 * costs nothing. One belongs to each worker, request or command.
 */
export function rememberingBender(keep = 12): Bender {
  const pieces = new Map<string, PieceOutcome>();
  const pressed = new Map<string, Pressed>();
  const keysOf = ({ forceN, ...held }: BendingScene): readonly [string, string] => {
    const heldKey = JSON.stringify(held);
    return [heldKey, `${forceN} ${heldKey}`];
  };
  return {
    bend: (scene) => {
      const [heldKey, key] = keysOf(scene);
      return remembered(pressed, key, keep, () => {
        const outcome = remembered(pieces, heldKey, keep, () => preparePiece(scene));
        return outcome.kind === 'ready'
          ? pressPiece(outcome.piece, scene.rim, scene.forceN)
          : { bending: outcome, field: null };
      });
    },
    known: (scene) => pressed.get(keysOf(scene)[1]) ?? bendLater(scene),
  };
}

export const rememberingBend = (keep?: number): Bend => rememberingBender(keep).bend;

/**
 * Bends each held piece once and scales what the drill adds with its force: near enough to rank many
 * bits and machines on one bed, where the rim’s size differs little and only far places lift off.
 */
export function scalingBend(bend: Bend): Bend {
  const first = new Map<string, { readonly forceN: number; readonly pressed: Pressed }>();
  return (scene) => {
    const { forceN, rim, ...held } = scene;
    const key = JSON.stringify({ ...held, xMm: rim.xMm, yMm: rim.yMm });
    const known = first.get(key);
    if (!known) {
      const pressed = bend(scene);
      first.set(key, { forceN, pressed });
      return pressed;
    }
    const { bending } = known.pressed;
    if (bending.kind !== 'bent') return known.pressed;
    const ratio = forceN / known.forceN;
    const scaled = (mpa: number): number => bending.atRestMpa + (mpa - bending.atRestMpa) * ratio;
    // What holds the piece gives back all that presses, each pad its share.
    const carriedN = bending.carriedN + forceN - known.forceN;
    const more = bending.carriedN > 0 ? carriedN / bending.carriedN : 1;
    return {
      bending: {
        ...bending,
        stressMpa: scaled(bending.stressMpa),
        underRimMpa: scaled(bending.underRimMpa),
        edgeMpa: scaled(bending.edgeMpa),
        deflectionMm: bending.deflectionMm * ratio,
        carriedN,
        padsN: bending.padsN.map((one) => one * more),
      },
      field: null,
    };
  };
}

function remembered<T>(kept: Map<string, T>, key: string, max: number, make: () => T): T {
  const known = kept.get(key);
  if (known !== undefined) return known;
  const made = make();
  const [oldest] = kept.keys();
  if (kept.size >= max && oldest !== undefined) kept.delete(oldest);
  kept.set(key, made);
  return made;
}

import { preparePiece, pressPiece, type PieceOutcome, type Pressed } from './bendPiece';
import type { BendingScene } from './bendingScene';

/** Bends a piece; may remember what it has bent before. */
export type Bend = (scene: BendingScene) => Pressed;

/** Leaves the bending to be worked out later. */
export const bendLater: Bend = () => ({ bending: { kind: 'declined', why: 'later' }, field: null });

/**
 * A bend that keeps the last pieces it factored, so that a changed force is a re-solve and a question
 * asked again costs nothing. One belongs to each worker, request or command.
 */
export function rememberingBend(keep = 12): Bend {
  const pieces = new Map<string, PieceOutcome>();
  const pressed = new Map<string, Pressed>();
  return (scene) => {
    const { forceN: _force, ...held } = scene;
    const heldKey = JSON.stringify(held);
    const key = `${scene.forceN} ${heldKey}`;
    const known = pressed.get(key);
    if (known) return known;
    const outcome = remembered(pieces, heldKey, keep, () => preparePiece(scene));
    return remembered(pressed, key, keep, () =>
      outcome.kind === 'ready'
        ? pressPiece(outcome.piece, scene.rim, scene.forceN)
        : { bending: outcome, field: null },
    );
  };
}

function remembered<T>(kept: Map<string, T>, key: string, most: number, make: () => T): T {
  const known = kept.get(key);
  if (known !== undefined) return known;
  const made = make();
  const [oldest] = kept.keys();
  if (kept.size >= most && oldest !== undefined) kept.delete(oldest);
  kept.set(key, made);
  return made;
}

import type { PieceForm } from './choices';

interface Formed {
  readonly form: PieceForm;
}

/** Part of a building: nothing is carried to it but by hand. */
export const isBuilding = ({ form }: Formed): boolean => form === 'wall' || form === 'floor';

/** A flat loose piece, or a pane built in. */
export const isFlat = ({ form }: Formed): boolean => form === 'sheet' || form === 'slab';

import { isBuilding } from '../data/pieceForms';
import { boundingBox, faceOutline } from '../layout/outline';
import type { Piece } from '../documents/piece';

/** Panes longer than this do not go in a bench tray, mm. */
const LARGEST_BATH_PIECE_MM = 600;
/** Longer than this it hangs off a press's table and tips, mm. */
const LARGEST_PRESS_PIECE_MM = 1500;
/** A glass grinder's table is about this wide, mm. */
const LARGEST_GRINDER_PIECE_MM = 300;
/** What its drill tip goes through, mm. */
const THICKEST_AT_GRINDER_MM = 12;

type Placed = Pick<Piece, 'form' | 'outline' | 'assembled'>;

/** Part of a building or of something put together: it cannot be carried to a machine. */
const isBuiltIn = (piece: Placed): boolean => isBuilding(piece) || piece.assembled === true;

const longestMm = ({ outline }: Placed): number => {
  const { widthMm, heightMm } = boundingBox(faceOutline(outline, 'top'));
  return Math.max(widthMm, heightMm);
};

/** Whether it lies in a tray of usual size. */
export const fitsBath = (piece: Placed): boolean =>
  !isBuiltIn(piece) && longestMm(piece) <= LARGEST_BATH_PIECE_MM;

/** Whether it lies on a press's table. */
export const fitsPress = (piece: Placed): boolean =>
  !isBuiltIn(piece) && longestMm(piece) <= LARGEST_PRESS_PIECE_MM;

/** Whether it is held flat on a glass grinder's table, under its tip. */
export const fitsGlassGrinder = (piece: Placed & Pick<Piece, 'thicknessMm'>): boolean =>
  !isBuiltIn(piece) &&
  (piece.form === 'sheet' || piece.form === 'bead') &&
  longestMm(piece) <= LARGEST_GRINDER_PIECE_MM &&
  piece.thicknessMm <= THICKEST_AT_GRINDER_MM;

/** An angle grinder rocks its core on a broad flat face; nothing else holds still under it. */
export const fitsAngleGrinder = ({ form }: Pick<Piece, 'form'>): boolean =>
  form === 'sheet' || form === 'slab' || form === 'wall' || form === 'floor';

/** A stand is fixed to what it drills, or to the floor the piece lies on. */
export const fitsStand = (piece: Placed): boolean => isBuilding(piece) || !piece.assembled;

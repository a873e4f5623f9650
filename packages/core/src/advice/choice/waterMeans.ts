import { isBuilding } from '../../data/pieceForms';
import type { DrillCase } from '../../setup/drillCase';
import { COOLANT_IDS, COOLANTS, type CoolantId } from '../../data/coolants';
import { boundingBox, faceOutline } from '../../layout/outline';
import { fitsBath } from '../../setup/benchFit';
import type { Piece } from '../../documents/piece';
import type { OwnedWater } from '../../documents/kit';

/** Ways of wetting that suit a piece of this form, where no water means are listed as owned. */
const USUAL_WATER: Readonly<Record<Piece['form'], readonly CoolantId[]>> = {
  sheet: ['still-bath', 'pool', 'drip', 'running-tap', 'spindle', 'none'],
  slab: ['still-bath', 'pool', 'drip', 'running-tap', 'spindle'],
  block: ['pool', 'drip', 'running-tap', 'spindle'],
  bead: ['still-bath', 'drip', 'oil-bath'],
  vessel: ['pool', 'drip', 'sponge', 'still-bath'],
  wall: ['spindle', 'bottle', 'sponge', 'none'],
  floor: ['spindle', 'pool', 'bottle', 'none'],
};
/** Water that stands round a piece wants it loose and in a tray that holds it; none stands on a wall. */
export function canWet(
  { kind, trayLengthMm, trayWidthMm }: Pick<OwnedWater, 'kind' | 'trayLengthMm' | 'trayWidthMm'>,
  piece: Piece,
): boolean {
  if (piece.form === 'wall' && COOLANTS[kind].kind === 'standing') return false;
  if (!COOLANTS[kind].inTray) return true;
  if (isBuilding(piece) || piece.assembled) return false;
  if (trayLengthMm === undefined && trayWidthMm === undefined) return fitsBath(piece);
  const { widthMm, heightMm } = boundingBox(faceOutline(piece.outline, 'top'));
  const [long, short] = [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];
  const tray = [trayLengthMm ?? Infinity, trayWidthMm ?? Infinity];
  return long <= Math.max(...tray) && short <= Math.min(...tray);
}

/** Owned means, else the usual ones for this form; what nobody needs to own goes along. */
export function waterMeans({ kit, piece }: Pick<DrillCase, 'kit' | 'piece'>): readonly CoolantId[] {
  const usual = USUAL_WATER[piece.form];
  const listed = (kit.water ?? []).filter((one) => !one.retired);
  if (listed.length === 0) return usual.filter((kind) => canWet({ kind }, piece));
  const owned = listed.filter((one) => canWet(one, piece)).map((one) => one.kind);
  return [
    ...new Set([
      ...owned,
      ...COOLANT_IDS.filter((water) => COOLANTS[water].atHand && usual.includes(water)),
    ]),
  ].sort();
}

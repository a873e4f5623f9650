import { SERVICES } from '../data/services';
import type { Hole } from '../documents/hole';
import type { Piece, ServiceBand } from '../documents/piece';
import { middleOf, spanToShape, type ClearSpan, type PlacedHole } from './clearDistances';

export interface ServiceSpan extends ClearSpan {
  readonly band: ServiceBand;
}

/** How deep a hole reaches, mm. */
export const reachOf = (
  { depth }: Pick<Hole, 'depth'>,
  { thicknessMm }: Pick<Piece, 'thicknessMm'>,
): number => (depth.kind === 'through' ? thicknessMm : depth.depthMm);

/** Width over which a band may lie, mm: what was found and how far it may be off to either side. */
export const bandWidth = ({ widthMm, uncertaintyMm }: ServiceBand): number =>
  widthMm + 2 * uncertaintyMm;

/**
 * What a scan found behind the face, nearest first: hole's rim to the band at its widest, negative
 * where they clash. Bands deeper than the hole reaches, with their uncertainty, are left out.
 */
export function spansToServices(
  piece: Pick<Piece, 'outline' | 'thicknessMm' | 'services'>,
  hole: PlacedHole & Pick<Hole, 'depth'>,
): readonly ServiceSpan[] {
  if (hole.face === 'base') return [];
  const at = middleOf(piece.outline, hole);
  return (piece.services ?? [])
    .filter(
      ({ depthMm, uncertaintyMm }) =>
        depthMm === undefined || reachOf(hole, piece) > depthMm - uncertaintyMm,
    )
    .map((band) => {
      const span = spanToShape({ kind: 'line', pointsMm: band.pointsMm }, at, hole.diameterMm / 2);
      return { ...span, clearMm: span.clearMm - bandWidth(band) / 2, band };
    })
    .sort((a, b) => a.clearMm - b.clearMm);
}

/** Whether a hole runs into any of them. */
export const clashes = (
  piece: Pick<Piece, 'outline' | 'thicknessMm' | 'services'>,
  hole: PlacedHole & Pick<Hole, 'depth'>,
): boolean => spansToServices(piece, hole).some(({ clearMm }) => clearMm < 0);

/** What a band is called: by its label, else by what it is. */
export const bandName = ({ kind, label }: ServiceBand): string =>
  label?.trim() || SERVICES[kind].name;

import { capitalised } from '../words/sentence';
import type { Hole } from '../documents/hole';
import type { Piece, ServiceBand } from '../documents/piece';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../words/units/unitSystem';
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

const WORDS: Record<ServiceBand['kind'], string> = {
  pipe: 'pipe',
  cable: 'cable',
  bar: 'reinforcing bar',
  unknown: 'something the scan found',
};

/** What a band is, in words. */
export const bandName = ({ kind, label }: ServiceBand): string => label?.trim() || WORDS[kind];

/** How far the hole must move, in a sentence. */
export const clashText = ({ band, clearMm }: ServiceSpan, units: UnitSystem): string =>
  `${capitalised(bandName(band))} may lie in the hole’s way: the hole runs ${formatLengthShort(-clearMm, units)} into its band, which is ${formatLengthShort(bandWidth(band), units)} wide with what the scan may be off by.`;

import { boundingBox, faceOutline } from '../../layout/outline';
import { isRound } from '../../layout/wrap';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

const MAX_NAMED = 12;

/** The plan in words, for those who cannot see it: the face's size and where each hole stands. */
export function describeLayout(
  piece: Pick<Piece, 'name' | 'outline'>,
  holes: readonly Pick<Hole, 'label' | 'xMm' | 'yMm' | 'diameterMm' | 'face'>[],
  units: UnitSystem,
): string {
  const show = (mm: number): string => formatLengthShort(mm, units);
  const face = faceOutline(piece.outline, holes[0]?.face ?? 'top');
  const { widthMm, heightMm } = boundingBox(face);
  const size =
    face.kind === 'circle'
      ? `round, ${show(face.diameterMm)} across`
      : `${show(widthMm)} × ${show(heightMm)}${isRound(face) ? ' unrolled' : ''}`;
  const named = holes
    .slice(0, MAX_NAMED)
    .map(
      ({ label, xMm, yMm, diameterMm }) =>
        `${label?.trim() || 'a hole'} ${show(diameterMm)} at ${show(xMm)} × ${show(yMm)}`,
    );
  const more = holes.length > MAX_NAMED ? `, and ${holes.length - MAX_NAMED} more` : '';
  return `${piece.name} from above, ${size}: ${named.join('; ') || 'no holes yet'}${more}.`;
}

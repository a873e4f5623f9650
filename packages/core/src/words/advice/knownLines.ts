import { formatMoney } from '../units/money';
import type { Damage, GlassTreatment } from '../../data/choices';
import type { Piece } from '../../documents/piece';
import { thicknessText } from '../layout/thicknessText';
import type { Material } from '../../data/materials/material';
import { CAVITY, findMaterial } from '../../data/materials/materials';
import { input, type ReasonInput } from '../../documents/reason';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import { sharesInWords } from './identifyWords';

const DAMAGE: Record<Damage, string> = {
  none: 'none found',
  'edge-chip': 'chips at an edge',
  crack: 'a crack',
  mended: 'mended before',
};

const words = (id: string): string => id.replaceAll('-', ' ');

function treatmentText(treatment: GlassTreatment, piece: Piece): string {
  const proof = piece.checks?.find((check) => check.hazard === 'unknown-treatment');
  if (treatment !== 'unknown') return words(treatment);
  return proof ? `vouched for: ${words(proof.answer)}` : 'not known';
}

/** What is known of a piece, a line each, those never asked left out. */
export function knownLines(
  piece: Piece,
  custom: readonly Material[],
  units: UnitSystem,
): readonly ReasonInput[] {
  const nameOf = (id: string): string =>
    id === CAVITY ? 'cavity' : (findMaterial(id, custom)?.name ?? id);
  const material = findMaterial(piece.material, custom);
  const whole = { ...piece, holes: [] };
  const lines: (ReasonInput | null)[] = [
    piece.layers?.length
      ? input(
          'From the outside in',
          piece.layers
            .map(
              (layer) => `${nameOf(layer.material)} ${formatLengthShort(layer.thicknessMm, units)}`,
            )
            .join(', '),
        )
      : piece.couldBe && piece.couldBe.length > 1
        ? input(
            'It may be',
            piece.couldBe
              .map((one) => `${nameOf(one.material)} (${sharesInWords(one.share)})`)
              .join(', '),
          )
        : input('Material', nameOf(piece.material)),
    material?.class === 'glass'
      ? input('Treatment', treatmentText(piece.glassTreatment ?? 'unknown', whole))
      : null,
    input('Form', piece.form),
    input('Thickness', thicknessText(piece, units)),
    piece.assembled === undefined ? null : input('Built in', piece.assembled ? 'yes' : 'loose'),
    piece.damage ? input('Damage', DAMAGE[piece.damage]) : null,
    piece.sheet?.trim() ? input('Sheet or batch', piece.sheet) : null,
    piece.yearMade === undefined ? null : input('Year', String(piece.yearMade)),
    piece.valueMoney === undefined
      ? null
      : input('To replace it', formatMoney(piece.valueMoney, units)),
    piece.spareAvailable === undefined
      ? null
      : input('A spare', piece.spareAvailable ? 'there is one' : 'none'),
  ];
  return lines.filter((line) => line !== null);
}

import { boundingBox, distanceToEdge } from '../layout/outline';
import type { Outline } from '../documents/outline';
import { mm, type Add } from './checkKit';
import type { SupportPad, SupportSetup } from '../documents/setup';

/** What is under or on the piece has a size, and meets it somewhere. */
export function checkSupport(
  { pads = [], boards = [], clamps = [] }: Partial<SupportSetup>,
  face: Outline,
  at: string,
  add: Add,
): void {
  const box = boundingBox(face);
  const checkPatch = (patch: SupportPad, what: string, pointer: string): void => {
    if (patch.widthMm <= 0 || patch.heightMm <= 0)
      add(
        pointer,
        `${what} of ${mm(patch.widthMm)} × ${mm(patch.heightMm)} has no size; give it a width and a height above 0.`,
      );
    const meets =
      patch.xMm < box.widthMm &&
      patch.yMm < box.heightMm &&
      patch.xMm + patch.widthMm > 0 &&
      patch.yMm + patch.heightMm > 0;
    if (!meets)
      add(
        pointer,
        `${what} at ${mm(patch.xMm)}, ${mm(patch.yMm)} lies outside the piece, which is ${mm(box.widthMm)} × ${mm(box.heightMm)}; move it under.`,
      );
  };
  pads.forEach((pad, index) => {
    checkPatch(pad, 'A pad', `${at}/pads/${index}`);
  });
  boards.forEach((board, index) => {
    checkPatch(board, 'A board', `${at}/boards/${index}`);
    if (board.thicknessMm <= 0)
      add(
        `${at}/boards/${index}/thicknessMm`,
        'A board of 0 mm spreads nothing; give its thickness.',
      );
  });
  clamps.forEach(({ xMm, yMm, padDiameterMm }, index) => {
    const clear = distanceToEdge(face, { xMm, yMm });
    if (padDiameterMm <= 0)
      add(`${at}/clamps/${index}/padDiameterMm`, 'A clamp of 0 mm has no pad; give its diameter.');
    else if (clear < padDiameterMm / 2)
      add(
        `${at}/clamps/${index}`,
        `A clamp’s pad of ${mm(padDiameterMm)} at ${mm(xMm)}, ${mm(yMm)} is not whole on the piece, which is ${mm(box.widthMm)} × ${mm(box.heightMm)}.`,
      );
  });
}

import { boundingBox, distanceToEdge } from '../layout/outline';
import type { Outline } from '../documents/outline';
import type { SupportPad, SupportSetup } from '../documents/setup';
import type { Add } from './jobFault';

/** What is under or on the piece has a size, and meets it somewhere. */
export function checkSupport(
  { pads = [], boards = [], clamps = [] }: Partial<SupportSetup>,
  face: Outline,
  at: string,
  add: Add,
): void {
  const { widthMm, heightMm } = boundingBox(face);
  const checkPatch = (patch: SupportPad, what: 'pad' | 'board', pointer: string): void => {
    if (patch.widthMm <= 0 || patch.heightMm <= 0)
      add(pointer, {
        code: 'patch-without-size',
        what,
        widthMm: patch.widthMm,
        heightMm: patch.heightMm,
      });
    const meets =
      patch.xMm < widthMm &&
      patch.yMm < heightMm &&
      patch.xMm + patch.widthMm > 0 &&
      patch.yMm + patch.heightMm > 0;
    if (!meets)
      add(pointer, {
        code: 'patch-off-piece',
        what,
        xMm: patch.xMm,
        yMm: patch.yMm,
        widthMm,
        heightMm,
      });
  };
  pads.forEach((pad, index) => {
    checkPatch(pad, 'pad', `${at}/pads/${index}`);
  });
  boards.forEach((board, index) => {
    checkPatch(board, 'board', `${at}/boards/${index}`);
    if (board.thicknessMm <= 0)
      add(`${at}/boards/${index}/thicknessMm`, { code: 'board-without-thickness' });
  });
  clamps.forEach(({ xMm, yMm, padDiameterMm }, index) => {
    const clear = distanceToEdge(face, { xMm, yMm });
    if (padDiameterMm <= 0)
      add(`${at}/clamps/${index}/padDiameterMm`, { code: 'clamp-without-pad' });
    else if (clear < padDiameterMm / 2)
      add(`${at}/clamps/${index}`, {
        code: 'clamp-off-piece',
        padDiameterMm,
        xMm,
        yMm,
        widthMm,
        heightMm,
      });
  });
}

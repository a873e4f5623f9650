/** Drawings read and written. */
export const filesWords = {
  drawing: 'Drawing…',
  drawingOf: (done: number, of: number): string => `Drawing ${done} of ${of}…`,
  savedAs: (saved: string, missing = ''): string =>
    missing === ''
      ? `Saved as ${saved}.`
      : `Saved as ${saved}. There is no type here for ${missing}: each is printed as “?”.`,
  itCouldNotBe: 'It could not be drawn.',
  mm: 'mm',
  cm: 'cm',
  inch: 'inch',
  screenPoints: 'screen points',
  reading: (file: string): string => `Reading “${file}”…`,
  outlineAndHolesFrom: 'Outline and holes from a DXF or SVG',
  notRead: 'Not read',
  theFileDoesNot: 'The file does not say its unit: what is it drawn in?',
  useThem: 'Use them',
  takenUndoBringsBack: 'Taken. Undo brings back what was there.',
  leaveIt: 'Leave it',
  layersToRead: 'Layers to read',
  taken: (taken: string): string => `Taken: ${taken}.`,
  left: (left: string): string => `Left: ${left}.`,
  drawingPageOf: (done: number, of: number): string => `Drawing page ${done} of ${of}…`,
  savedAsPrintAt: (name: string, missing = ''): string =>
    `Saved as ${name}. Print at 100 %, then measure the bar and the square.${missing === '' ? '' : ` There is no type here for ${missing}: each is printed as “?”.`}`,
  savedAsInMillimetres: (name: string): string => `Saved as ${name}, in millimetres.`,
  paper: 'Paper',
  drawnFrom: 'Drawn from',
  theFront: 'The front',
  theBackMirrored: 'The back, mirrored',
  templatePdf: '1:1 template, PDF',
  cancel: 'Cancel',
};

/** Enough to trace by, and small enough to send from a phone. */
const LONGEST_PX = 1600;
const QUALITY = 0.82;

export interface Picture {
  readonly blob: Blob;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * A photograph drawn anew at a size that can be kept; what the camera wrote beside it (place, time,
 * maker) is not carried over.
 * @throws with a sentence when the file is no picture the browser can read
 */
export async function shrinkPicture(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new Error('This file is not a picture that can be read: take a JPEG or PNG.');
  });
  const k = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * k);
  canvas.height = Math.round(bitmap.height * k);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const blob = await new Promise<Blob | null>((done) => {
    canvas.toBlob(done, 'image/jpeg', QUALITY);
  });
  if (!blob) throw new Error('The picture could not be made smaller; try another.');
  return { blob, widthPx: canvas.width, heightPx: canvas.height };
}

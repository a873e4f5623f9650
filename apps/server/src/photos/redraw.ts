import sharp from 'sharp';
import { Problem } from '../http/problem';

const MAX_PIXELS = 60_000_000;
const LONGEST_S = 5;
const QUALITY = 82;

/** What a picture's first bytes say it is; null for anything else, a drawing of SVG among it. */
export function pictureKind(bytes: Buffer): 'jpeg' | 'png' | 'webp' | null {
  if (bytes.subarray(0, 3).equals(Buffer.from('ffd8ff', 'hex'))) return 'jpeg';
  if (bytes.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex'))) return 'png';
  const [riff, webp] = [bytes.toString('latin1', 0, 4), bytes.toString('latin1', 8, 12)];
  return riff === 'RIFF' && webp === 'WEBP' ? 'webp' : null;
}

export interface Redrawn {
  readonly bytes: Buffer;
  readonly mime: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * The picture drawn anew: turned upright, shrunk where asked, without what the camera wrote into it. What cannot
 * be drawn is no picture, whatever it is called. PNG stays PNG: a plan's fine lines survive it.
 * @throws Problem
 */
export async function redrawn(
  bytes: unknown,
  { longestSidePx, maxMb }: { readonly longestSidePx?: number; readonly maxMb: number },
): Promise<Redrawn> {
  const kind = Buffer.isBuffer(bytes) ? pictureKind(bytes) : null;
  const refusal = `This is not a picture that can be opened; send a whole JPEG, PNG or WebP of at most ${maxMb} MB.`;
  if (!Buffer.isBuffer(bytes) || kind === null) throw new Problem('wrong-media-type', refusal);
  try {
    const upright = sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
      .rotate()
      .timeout({ seconds: LONGEST_S });
    const sized =
      longestSidePx === undefined
        ? upright
        : upright.resize({
            width: longestSidePx,
            height: longestSidePx,
            fit: 'inside',
            withoutEnlargement: true,
          });
    const asPng = kind === 'png' && longestSidePx === undefined;
    const { data, info } = await (asPng ? sized.png() : sized.jpeg({ quality: QUALITY })).toBuffer({
      resolveWithObject: true,
    });
    return {
      bytes: data,
      mime: asPng ? 'image/png' : 'image/jpeg',
      widthPx: info.width,
      heightPx: info.height,
    };
  } catch {
    throw new Problem('wrong-media-type', refusal);
  }
}

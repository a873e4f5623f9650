import type { ReadOutcome } from './drawnFile';
import { readDxf } from './readDxf';
import { readSvg } from './readSvg';

/** Larger drawings hold more than one piece's edge and holes. */
export const LARGEST_DRAWING_MB = 8;
const MB = 1024 * 1024;

/** Reads a DXF or SVG by what is in it, whatever it is called. Bytes of anything else are refused. */
export function readDrawing(bytes: Uint8Array, name: string): ReadOutcome {
  if (bytes.length > LARGEST_DRAWING_MB * MB)
    return {
      kind: 'refused',
      message: `“${name}” has ${Math.round(bytes.length / MB)} MB; a drawing of at most ${LARGEST_DRAWING_MB} MB is read. Save the one piece alone.`,
    };
  if (bytes.length === 0) return { kind: 'refused', message: `“${name}” is empty.` };
  const text = new TextDecoder('utf-8').decode(bytes);
  if (/^AutoCAD Binary DXF/.test(text)) return readDxf(text);
  if (text.includes('\0'))
    return {
      kind: 'refused',
      message: `“${name}” is a binary file; a drawing is read as DXF in text form, or as SVG.`,
    };
  return /<svg[\s>]/i.test(text.slice(0, 20_000)) || /\.svg$/i.test(name)
    ? readSvg(text)
    : readDxf(text);
}

import * as fontkit from '@cantoo/fontkit';
import { StandardFonts, type PDFDocument, type PDFFont } from '@cantoo/pdf-lib';
import { lettersOf, needsFont, type FontBytes } from './letters';

export interface PdfFonts {
  readonly plain: PDFFont;
  readonly bold: PDFFont;
}

/**
 * The type a document is set in: none of its own where every reader has the letters, else those letters of the type
 * that is given, no more.
 * @param text all that people have named and written in it
 * @returns letters that even that type lacks; they are set as a question mark
 */
export async function fontsFor(
  pdf: PDFDocument,
  text: string,
  bytes: FontBytes | null,
): Promise<{ readonly fonts: PdfFonts; readonly missing: string }> {
  const wide = bytes !== null && needsFont(text);
  if (wide) pdf.registerFontkit(fontkit);
  const fonts = {
    plain: await pdf.embedFont(wide ? bytes.plain : StandardFonts.Helvetica, { subset: wide }),
    bold: await pdf.embedFont(wide ? bytes.bold : StandardFonts.HelveticaBold, { subset: wide }),
  };
  const known = new Set(fonts.plain.getCharacterSet());
  const missing = lettersOf(text).filter((letter) => !known.has(letter.codePointAt(0) ?? 0));
  return { fonts, missing: missing.join('') };
}

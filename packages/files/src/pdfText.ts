import { rgb, type PDFFont, type PDFPage } from '@cantoo/pdf-lib';
import { PT_PER_MM } from './pdfPen';

/** Leading over type size. */
const LEADING = 1.3;

interface Measures {
  readonly known: ReadonlySet<number>;
  /** Width of each word met so far, at a size of 1. */
  readonly widths: Map<string, number>;
}

/** The same few hundred words stand on every card of a job: each is measured once. */
const measured = new WeakMap<PDFFont, Measures>();

function measuresOf(font: PDFFont): Measures {
  const had = measured.get(font);
  if (had) return had;
  const fresh = { known: new Set(font.getCharacterSet()), widths: new Map<string, number>() };
  measured.set(font, fresh);
  return fresh;
}

function widthOf(font: PDFFont, word: string): number {
  const { widths } = measuresOf(font);
  const had = widths.get(word);
  if (had !== undefined) return had;
  const width = font.widthOfTextAtSize(word, 1);
  widths.set(word, width);
  return width;
}

/** Type down a column of a page: from the top, in mm, wrapped to its width. */
export class PdfText {
  constructor(
    private readonly page: PDFPage,
    private readonly xMm: number,
    private readonly widthMm: number,
    /** Top of the next line, from the foot of the page. */
    public yMm: number,
  ) {}

  /** As far as the page’s type has its letters. */
  static printable(font: PDFFont, text: string): string {
    const { known } = measuresOf(font);
    return Array.from(text, (letter) =>
      known.has(letter.codePointAt(0) ?? 0) ? letter : '?',
    ).join('');
  }

  lines(font: PDFFont, text: string, sizeMm: number, indentMm = 0): readonly string[] {
    const room = (this.widthMm - indentMm) * PT_PER_MM;
    const size = sizeMm * PT_PER_MM;
    const blank = widthOf(font, ' ') * size;
    const lines: string[] = [];
    let line = '';
    let width = 0;
    for (const word of PdfText.printable(font, text).split(/\s+/)) {
      const own = widthOf(font, word) * size;
      if (line !== '' && width + blank + own > room) {
        lines.push(line);
        [line, width] = [word, own];
      } else if (line === '') [line, width] = [word, own];
      else [line, width] = [`${line} ${word}`, width + blank + own];
    }
    return line === '' ? lines : [...lines, line];
  }

  heightMm(font: PDFFont, text: string, sizeMm: number, indentMm = 0): number {
    return this.lines(font, text, sizeMm, indentMm).length * sizeMm * LEADING;
  }

  put(font: PDFFont, text: string, sizeMm: number, { indentMm = 0, grey = 0 } = {}): void {
    for (const line of this.lines(font, text, sizeMm, indentMm)) {
      this.yMm -= sizeMm * LEADING;
      this.page.drawText(line, {
        x: (this.xMm + indentMm) * PT_PER_MM,
        y: (this.yMm + sizeMm * (LEADING - 1)) * PT_PER_MM,
        size: sizeMm * PT_PER_MM,
        font,
        color: rgb(grey, grey, grey),
      });
    }
  }

  skip(mm: number): void {
    this.yMm -= mm;
  }
}

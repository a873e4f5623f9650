import { rgb, type PDFFont, type PDFPage } from '@cantoo/pdf-lib';
import { PT_PER_MM } from './pdfPen';

/** Leading over type size. */
const LEADING = 1.3;

/** Type down a column of a page: from the top, in mm, wrapped to its width. */
export class PdfText {
  constructor(
    private readonly page: PDFPage,
    private readonly xMm: number,
    private readonly widthMm: number,
    /** Top of the next line, from the foot of the page. */
    public yMm: number,
  ) {}

  /** The page's plain type has Latin letters only. */
  static printable(font: PDFFont, text: string): string {
    const known = new Set(font.getCharacterSet());
    return Array.from(text, (letter) =>
      known.has(letter.codePointAt(0) ?? 0) ? letter : '?',
    ).join('');
  }

  lines(font: PDFFont, text: string, sizeMm: number, indentMm = 0): readonly string[] {
    const room = (this.widthMm - indentMm) * PT_PER_MM;
    const size = sizeMm * PT_PER_MM;
    const lines: string[] = [];
    let line = '';
    for (const word of PdfText.printable(font, text).split(/\s+/)) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && font.widthOfTextAtSize(longer, size) > room) {
        lines.push(line);
        line = word;
      } else line = longer;
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

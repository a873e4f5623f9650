import type { JobFile } from '@nucleon/core/job/job';
import { makePlan } from '@nucleon/core/plan/makePlan';
import { packingListOf } from '@nucleon/core/run/packingList';
import type { UnitSystem } from '@nucleon/core/units/unitSystem';
import { PDFDocument, StandardFonts } from 'pdf-lib';
import { addBenchCard, type CardFonts } from './benchCard';
import { PdfPen, PT_PER_MM } from './pdfPen';
import { PdfText } from './pdfText';
import { sheetOf } from './sheet';
import { PAPERS, type PaperId } from './tiles';
import { addTemplate, type PdfOutcome } from './writePdf';

export interface PackChoice {
  readonly paper: PaperId;
  readonly units: UnitSystem;
  readonly now: Date;
  /** One hole's card alone, without lists and templates. */
  readonly onlyHole?: string;
  /** Told after each page; says whether to go on. */
  readonly onPage?: (done: number, of: number) => boolean;
}

const MARGIN_MM = 15;
const BOX_MM = 4;

/** A job on paper: what to lay out, a card for each hole, and each piece's template at full size. */
export async function writeJobPack(file: JobFile, choice: PackChoice): Promise<PdfOutcome> {
  const { onlyHole, onPage, paper, units, now } = choice;
  const pdf = await PDFDocument.create();
  pdf.setTitle(file.job.name);
  pdf.setCreator('Nucleon');
  const fonts: CardFonts = {
    plain: await pdf.embedFont(StandardFonts.Helvetica),
    bold: await pdf.embedFont(StandardFonts.HelveticaBold),
  };
  const cards = file.pieces.flatMap((piece) =>
    piece.holes
      .filter(({ id }) => onlyHole === undefined || id === onlyHole)
      .flatMap((hole) => {
        // Hole ids are unique within a piece only.
        const outcome = makePlan({ ...file, pieces: [piece] }, hole.id, units);
        return outcome.kind === 'planned'
          ? [{ jobName: file.job.name, piece, hole, plan: outcome.plan }]
          : [];
      }),
  );
  if (cards.length === 0)
    return { kind: 'refused', message: 'There is no hole here that a plan can be made of.' };
  const drilled = onlyHole === undefined ? file.pieces.filter(({ holes }) => holes.length > 0) : [];
  const parts = cards.length + drilled.length + (onlyHole === undefined ? 1 : 0);
  let done = 0;
  const goesOn = (): boolean => onPage?.(++done, parts) !== false;

  if (onlyHole === undefined) {
    addPackingList(pdf, fonts, file, paper, units);
    if (!goesOn()) return { kind: 'cancelled' };
  }
  for (const card of cards) {
    addBenchCard(pdf, fonts, card, { paper, units, now });
    if (!goesOn()) return { kind: 'cancelled' };
  }
  for (const piece of drilled) {
    const added = addTemplate(pdf, fonts.plain, sheetOf(piece), { paper, mirrored: false, units });
    // A piece too large to print is left to the plotter: its cards are here all the same.
    if (added.kind === 'cancelled' || !goesOn()) return { kind: 'cancelled' };
  }
  return { kind: 'written', bytes: await pdf.save(), pages: pdf.getPageCount() };
}

function addPackingList(
  pdf: PDFDocument,
  { plain, bold }: CardFonts,
  file: JobFile,
  paper: PaperId,
  units: UnitSystem,
): void {
  const { widthMm, heightMm } = PAPERS[paper];
  const page = pdf.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
  const text = new PdfText(page, MARGIN_MM, widthMm - 2 * MARGIN_MM, heightMm - MARGIN_MM);
  text.put(bold, file.job.name, 7);
  text.put(plain, 'To lay out', 4.5, { grey: 0.3 });
  text.skip(4);
  const pen = new PdfPen(page, plain);
  for (const item of packingListOf(file, units)) {
    const y = text.yMm - BOX_MM - 1.4;
    pen.box({ xMm: MARGIN_MM, yMm: y }, BOX_MM);
    text.put(plain, item.text, 4.2, { indentMm: BOX_MM + 3 });
    text.skip(2);
  }
}

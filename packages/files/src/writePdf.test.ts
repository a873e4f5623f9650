import {
  decodePDFRawStream,
  PDFArray,
  PDFDocument,
  PDFRawStream,
  type PDFPage,
} from '@cantoo/pdf-lib';
import { METRIC } from '@nucleon/core/data/unitSystem';
import type { Sheet } from './sheet';
import { tileName, tilesFor } from './tiles';
import { writePdf, type PdfChoice } from './writePdf';

const CHOICE: PdfChoice = { paper: 'a4', mirrored: false, units: METRIC, fonts: null };
const MM = 25.4 / 72;
const sheet = (more: Partial<Sheet> = {}): Sheet => ({
  name: 'Plate',
  outline: { kind: 'rectangle', widthMm: 150, heightMm: 120 },
  holes: [{ label: 'Arbor', xMm: 50, yMm: 40, diameterMm: 22 }],
  keepOff: [],
  ...more,
});

const contents = (page: PDFPage): string => {
  const { context } = page.doc;
  const given = page.node.Contents();
  const streams =
    given instanceof PDFArray ? given.asArray().map((ref) => context.lookup(ref)) : [given];
  return streams
    .filter((one): one is PDFRawStream => one instanceof PDFRawStream)
    .map((one) => new TextDecoder('latin1').decode(decodePDFRawStream(one).decode()))
    .join('\n');
};

interface Drawn {
  readonly red: boolean;
  readonly xs: number[];
  readonly ys: number[];
}

/** Every stroked path of a page, mm, from its operators alone: no matrices are used. */
function strokes(page: PDFPage): Drawn[] {
  const drawn: Drawn[] = [];
  let now: Drawn = { red: false, xs: [], ys: [] };
  for (const line of contents(page).split('\n')) {
    const words = line.trim().split(/\s+/);
    const operator = words.at(-1);
    const numbers = words.slice(0, -1).map(Number);
    if (operator === 'cm' || operator === 'Tm') expect(numbers.slice(0, 4)).toEqual([1, 0, 0, 1]);
    if (operator === 'RG') now = { red: (numbers[0] ?? 0) > 0.5, xs: [], ys: [] };
    if (operator === 'm' || operator === 'l' || operator === 'c') {
      now.xs.push((numbers.at(-2) ?? 0) * MM);
      now.ys.push((numbers.at(-1) ?? 0) * MM);
    }
    if (operator === 'S') drawn.push(now);
  }
  return drawn;
}
const span = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

async function pages(of: Sheet, choice: Partial<PdfChoice> = {}): Promise<PDFPage[]> {
  const written = await writePdf(of, { ...CHOICE, ...choice });
  if (written.kind !== 'written') throw new Error(written.kind);
  return (await PDFDocument.load(written.bytes)).getPages();
}

it('draws a circle at its diameter and its place, read back from the page', async () => {
  const [page] = await pages(sheet());
  if (!page) throw new Error('no page');
  expect(page.getWidth() * MM).toBeCloseTo(210);
  const all = strokes(page);
  const [hole] = all.filter(({ red }) => red);
  expect(Math.abs(span(hole?.xs ?? []) - 22)).toBeLessThan(0.1);
  expect(Math.abs(span(hole?.ys ?? []) - 22)).toBeLessThan(0.1);
  const outline = all[0];
  expect(span(outline?.xs ?? [])).toBeCloseTo(150, 2);
  expect(span(outline?.ys ?? [])).toBeCloseTo(120, 2);
  expect(Math.min(...(hole?.xs ?? [])) - Math.min(...(outline?.xs ?? []))).toBeCloseTo(39, 2);
  // The check square and the scale bar.
  expect(
    all.some(({ xs, ys }) => Math.abs(span(xs) - 20) < 1e-3 && Math.abs(span(ys) - 20) < 1e-3),
  ).toBe(true);
  expect(all.some(({ xs, ys }) => Math.abs(span(xs) - 100) < 1e-3 && span(ys) < 1e-3)).toBe(true);
});

it('turns the back over', async () => {
  const [page] = await pages(sheet(), { mirrored: true });
  const all = page ? strokes(page) : [];
  const [hole] = all.filter(({ red }) => red);
  expect(Math.max(...(all[0]?.xs ?? [])) - Math.max(...(hole?.xs ?? []))).toBeCloseTo(39, 2);
});

it('tiles what is larger than a page, the same place at the same distance on neighbours', async () => {
  const large = sheet({
    outline: { kind: 'circle', diameterMm: 420 },
    holes: [{ label: 'Mid', xMm: 210, yMm: 210, diameterMm: 22 }],
  });
  const all = await pages(large, { paper: 'letter' });
  const tiling = tilesFor(432, 432, 'letter');
  expect(all).toHaveLength(tiling.tiles.length);
  const [first, second] = tiling.tiles;
  const middles = all.slice(0, 2).map((page) => {
    const [hole] = strokes(page).filter(({ red }) => red);
    return (Math.max(...(hole?.xs ?? [])) + Math.min(...(hole?.xs ?? []))) / 2;
  });
  expect((middles[0] ?? 0) - (middles[1] ?? 0)).toBeCloseTo(
    (second?.xMm ?? 0) - (first?.xMm ?? 0),
    2,
  );
  expect(tileName({ column: 27, row: 1 })).toBe('AB2');
});

it('lays a cylinder flat once round with a lap, and widens its rims as they wrap', async () => {
  const pot = sheet({
    outline: { kind: 'cylinder', outerDiameterMm: 60, heightMm: 80 },
    holes: [{ label: 'Spout', xMm: 94, yMm: 40, diameterMm: 40 }],
  });
  const [page] = await pages(pot);
  const all = page ? strokes(page) : [];
  expect(span(all[0]?.xs ?? [])).toBeCloseTo(60 * Math.PI, 2);
  const [hole] = all.filter(({ red }) => red);
  expect(span(hole?.xs ?? [])).toBeCloseTo(2 * 30 * Math.asin(20 / 30), 1);
  expect(span(hole?.ys ?? [])).toBeCloseTo(40, 1);
});

it('refuses a plotter’s work, writes letters it does not know as question marks, and stops when told', async () => {
  const huge = await writePdf(
    sheet({ outline: { kind: 'rectangle', widthMm: 9000, heightMm: 9000 } }),
    CHOICE,
  );
  expect(huge).toMatchObject({
    kind: 'refused',
    message: expect.stringContaining('at most 80') as string,
  });
  await expect(pages(sheet({ name: '鐘 Ä' }))).resolves.toHaveLength(1);
  const tall = sheet({ outline: { kind: 'rectangle', widthMm: 100, heightMm: 900 } });
  expect(await writePdf(tall, { ...CHOICE, onPage: (done) => done < 2 })).toEqual({
    kind: 'cancelled',
  });
});

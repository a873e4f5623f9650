import { readFileSync } from 'node:fs';
import { PDFDocument } from '@cantoo/pdf-lib';
import { METRIC } from '@nucleon/core/data/unitSystem';
import { needsFont, type FontBytes } from './letters';
import { fontsFor } from './pdfFonts';
import { writePdf } from './writePdf';

const read = (name: string): Uint8Array =>
  readFileSync(require.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`));
const BYTES: FontBytes = { plain: read('DejaVuSans'), bold: read('DejaVuSans-Bold') };
const set = async (text: string) => fontsFor(await PDFDocument.create(), text, BYTES);

it('brings no type along for letters every reader has', async () => {
  for (const text of ['Ø 22 mm, ≤ 3 × “Façade”', 'Žďár'.slice(0, 1), ''])
    expect(needsFont(text)).toBe(false);
  const { fonts, missing } = await set('Küche, Œuvre');
  expect(fonts.plain.name).toBe('Helvetica');
  expect(missing).toBe('');
});

it.each([
  ['Latin', 'Dlaždice pod oknem, żłób, ő'],
  ['Greek', 'Πλάκα κήπου'],
  ['Cyrillic', 'Плитка у входа'],
  ['Arabic', 'حوض الزجاج'],
])('sets %s in type that goes into the file', async (_script, text) => {
  expect(needsFont(text)).toBe(true);
  const { fonts, missing } = await set(text);
  expect(missing).toBe('');
  expect(fonts.plain.name).toMatch(/DejaVu/);
});

it('names the letters it has no type for, and prints the rest', async () => {
  expect((await set('石 plate')).missing).toBe('石');
  expect((await fontsFor(await PDFDocument.create(), 'Ωμέγα', null)).missing).toContain('Ω');
});

it('puts no more of a type into a file than its letters', async () => {
  const written = await writePdf(
    {
      name: 'Πλάκα κήπου',
      outline: { kind: 'rectangle', widthMm: 150, heightMm: 120 },
      holes: [{ label: 'Άξονας', xMm: 50, yMm: 40, diameterMm: 22 }],
      keepOff: [],
    },
    { paper: 'a4', mirrored: false, units: METRIC, fonts: BYTES },
  );
  if (written.kind !== 'written') throw new Error(written.kind);
  expect(written.missing).toBe('');
  expect(written.bytes.length).toBeLessThan(80_000);
});

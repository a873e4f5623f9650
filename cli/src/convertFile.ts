import { fontsOnDisk, noTypeFor } from './fontsOnDisk';
import type { PieceWithHoles } from '@nucleon/core/documents/piece';
import { readFile, writeFile } from 'node:fs/promises';
import { basename, extname } from 'node:path';
import { checkJob } from '@nucleon/core/setup/checkJob';
import { faultsInWords } from '@nucleon/core/words/faults';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { presumePiece, usualMaterial } from '@nucleon/core/advice/presumePiece';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import type { Entry } from '@nucleon/files/drawnFile';
import { pieceFromDrawing } from '@nucleon/files/pieceFromDrawing';
import { readDrawing } from '@nucleon/files/readDrawing';
import { sheetOf } from '@nucleon/files/sheet';
import { PAPERS, type PaperId } from '@nucleon/files/tiles';
import { writeDxf } from '@nucleon/files/writeDxf';
import { writePdf } from '@nucleon/files/writePdf';
import { writeSvg } from '@nucleon/files/writeSvg';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { loadOrSay } from './loadJobFile';

/** What may be said of a conversion beside its two files. */
export interface ConvertChoice {
  readonly piece?: string | undefined;
  readonly face?: string | undefined;
  readonly paper?: string | undefined;
  readonly mirrored: boolean;
  /** Unit of a drawing that does not say. */
  readonly unit?: string | undefined;
  readonly layers?: string | undefined;
  readonly units: UnitSystem;
}

const DRAWN = ['.dxf', '.svg', '.pdf'];
const READ = ['.dxf', '.svg'];
/** A drawing has no thickness: the commonest pane, to be said otherwise. */
const PRESUMED_THICKNESS_MM = 6;
const MM_PER_UNIT: Record<string, number> = { mm: 1, cm: 10, m: 1000, inch: 25.4, in: 25.4 };

/** From a job file to a drawing of one piece, or from a drawing to a job file. 0 done, 1 bad input. */
export async function convertFile(
  from: string,
  to: string,
  choice: ConvertChoice,
  console: Console,
): Promise<number> {
  const [source, target] = [extname(from).toLowerCase(), extname(to).toLowerCase()];
  try {
    if (source === '.json' && DRAWN.includes(target)) return await draw(from, to, choice, console);
    if (READ.includes(source) && target === '.json') return await read(from, to, choice, console);
  } catch (error) {
    const { code } = error as { code?: string };
    if (code === undefined) throw error;
    console.err(`Cannot convert “${from}” to “${to}”: ${code}.`);
    return 1;
  }
  console.err(
    `“${from}” to “${to}” is not a conversion: give a .json and a .dxf, .svg or .pdf, or a .dxf or .svg and a .json.`,
  );
  return 1;
}

function pickPiece(file: JobFile, id: string | undefined, console: Console): PieceWithHoles | null {
  const [first] = file.pieces;
  const named = file.pieces.find((piece) => piece.id === id || piece.name === id);
  const piece = id === undefined ? first : named;
  const names = file.pieces.map((one) => `${one.id} (${one.name})`).join(', ');
  if (!piece) {
    console.err(
      first ? `There is no piece “${id ?? ''}”; the file has ${names}.` : 'The file has no pieces.',
    );
    return null;
  }
  if (id === undefined && file.pieces.length > 1)
    console.err(
      `Took “${piece.name}”, the first of ${file.pieces.length} pieces; choose with --piece: ${names}.`,
    );
  return piece;
}

async function draw(
  from: string,
  to: string,
  choice: ConvertChoice,
  console: Console,
): Promise<number> {
  const job = await loadOrSay(from, console);
  if (!job) return 1;
  const piece = pickPiece(job, choice.piece, console);
  if (!piece) return 1;
  const { face, paper = 'a4' } = choice;
  if (face !== undefined && face !== 'face' && face !== 'base') {
    console.err(`“${face}” is not a face; use face or base.`);
    return 1;
  }
  if (!Object.hasOwn(PAPERS, paper)) {
    console.err(`“${paper}” is not a paper; use ${Object.keys(PAPERS).join(' or ')}.`);
    return 1;
  }
  const sheet = sheetOf(piece, piece.holes, face);
  if (to.toLowerCase().endsWith('.pdf')) {
    const { mirrored, units } = choice;
    const written = await writePdf(sheet, {
      paper: paper as PaperId,
      mirrored,
      units,
      fonts: await fontsOnDisk(JSON.stringify(sheet)),
    });
    if (written.kind !== 'written') {
      console.err(written.kind === 'refused' ? written.message : 'Cancelled.');
      return 1;
    }
    await writeFile(to, written.bytes);
    console.out(`${to}: ${written.pages} page${written.pages === 1 ? '' : 's'}, 1:1.`);
    if (written.missing !== '') console.err(noTypeFor(written.missing));
    return 0;
  }
  await writeFile(to, to.toLowerCase().endsWith('.svg') ? writeSvg(sheet) : writeDxf(sheet));
  console.out(`${to}: ${sheet.holes.length} holes of “${piece.name}”, in mm.`);
  return 0;
}

const listed = (entries: readonly Entry[]): string =>
  entries.map(({ what, count }) => `${count} ${what}`).join(', ');

async function read(
  from: string,
  to: string,
  { unit, layers }: ConvertChoice,
  console: Console,
): Promise<number> {
  const bytes = await readFile(from);
  const outcome = await (console.readDrawing ?? readDrawing)(bytes, basename(from));
  if (outcome.kind === 'refused') {
    console.err(outcome.message);
    return 1;
  }
  const { drawn } = outcome;
  const given = unit === undefined ? null : MM_PER_UNIT[unit];
  if (given === undefined) {
    console.err(`“${unit ?? ''}” is not a unit; use ${Object.keys(MM_PER_UNIT).join(', ')}.`);
    return 1;
  }
  const mmPerUnit = drawn.mmPerUnit ?? given;
  if (mmPerUnit === null) {
    console.err(`“${from}” does not say its unit; give --unit mm or --unit inch.`);
    return 1;
  }
  const chosen = layers?.split(',').map((layer) => layer.trim());
  const missing = chosen?.find((layer) => !drawn.layers.includes(layer));
  if (missing !== undefined) {
    console.err(`There is no layer “${missing}”; the file has ${drawn.layers.join(', ')}.`);
    return 1;
  }
  const made = pieceFromDrawing(drawn, { mmPerUnit, ...(chosen ? { layers: chosen } : {}) });
  if (made.left.length > 0) console.err(`Left: ${listed(made.left)}.`);
  if (made.kind === 'none') {
    console.err(made.message);
    return 1;
  }
  const name = basename(from).replace(/\.[^.]*$/, '') || 'piece';
  const piece: PieceWithHoles = {
    ...presumePiece({
      material: usualMaterial('glass'),
      thicknessMm: PRESUMED_THICKNESS_MM,
      diameterMm: 1,
    }),
    id: 'piece-1',
    name,
    outline: made.outline,
    ...(made.keepOff.length > 0 ? { keepOff: made.keepOff } : {}),
    holes: made.holes.map((hole, index) => ({
      id: `hole-${index + 1}`,
      ...hole,
      depth: { kind: 'through' },
    })),
  };
  const file: JobFile = {
    format: 'nucleon-job',
    version: 1,
    job: { id: name, name },
    pieces: [piece],
  };
  const faults = faultsInWords(checkJob(file));
  faults.forEach((fault) => {
    console.err(faultLine(fault));
  });
  if (faults.length > 0) return 1;
  await writeFile(to, `${JSON.stringify(file, null, 2)}\n`);
  console.out(
    `${to}: taken ${listed(made.taken)}. Presumed: ${piece.material}, ${piece.thicknessMm} mm thick; say what it is.`,
  );
  return 0;
}

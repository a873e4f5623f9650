import { workersWords } from '@nucleon/core/words/screens/workers';
import type { Bit } from '@nucleon/core/documents/kit';
import type { RunRecord } from '@nucleon/core/run/runRecord';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import { readBitsCsv, writeBitsCsv } from '@nucleon/files/bitsCsv';
import { writeJobPack, type JobOnPaper } from '@nucleon/files/jobPack';
import type { FontBytes } from '@nucleon/files/letters';
import { readDrawing } from '@nucleon/files/readDrawing';
import { readRunsCsv, writeRunsCsv } from '@nucleon/files/runsCsv';
import type { Sheet } from '@nucleon/files/sheet';
import type { PaperId } from '@nucleon/files/tiles';
import { writeDxf } from '@nucleon/files/writeDxf';
import { writePdf } from '@nucleon/files/writePdf';
import { writeSvg } from '@nucleon/files/writeSvg';
import { v5 as nameId, v7 as newId } from 'uuid';

export type DrawnFormat = 'pdf' | 'dxf' | 'svg';
export type OnPage = (done: number, of: number) => void;

export interface Refused {
  readonly kind: 'refused';
  readonly message: string;
}
export interface Written {
  readonly kind: 'written';
  readonly bytes: Uint8Array;
  readonly mime: string;
  /** Letters of a PDF there is no type for. */
  readonly missing?: string;
}
interface NamedBytes {
  readonly bytes: Uint8Array;
  readonly name: string;
}
interface OnPaper {
  readonly paper: PaperId;
  readonly units: UnitSystem;
  readonly fonts: FontBytes | null;
}
type PaperOutcome = Awaited<ReturnType<typeof writePdf | typeof writeJobPack>>;

/** Ids of rows in lists: the same row is always the same run. */
const LIST_IDS = '6f0c8c52-5b0e-4c3e-9a55-0d1f6a6c2b11';

const text = ({ bytes }: NamedBytes): string => new TextDecoder('utf-8').decode(bytes);
const written = (content: string, mime: string): Written => ({
  kind: 'written',
  bytes: new TextEncoder().encode(content),
  mime,
});
const printed = (outcome: PaperOutcome): Written | Refused =>
  outcome.kind === 'written'
    ? {
        kind: 'written',
        bytes: outcome.bytes,
        mime: 'application/pdf',
        missing: outcome.missing,
      }
    : {
        kind: 'refused',
        message: outcome.kind === 'refused' ? outcome.message : workersWords.cancelled,
      };
const going = (onPage: OnPage) => (done: number, of: number) => {
  onPage(done, of);
  return true;
};

/** Everything the files worker can be asked; it tells of each page where there are several. */
export const FILE_TASKS = {
  readDrawing: ({ bytes, name }: NamedBytes) => readDrawing(bytes, name),
  readBits: (
    file: NamedBytes & { readonly owned: readonly Pick<Bit, 'name' | 'family' | 'diameterMm'>[] },
  ) => readBitsCsv(text(file), file.owned, () => newId()),
  readRuns: (file: NamedBytes) => readRunsCsv(text(file), (row) => nameId(row, LIST_IDS)),
  writeBits: ({ bits }: { readonly bits: readonly Bit[] }) =>
    written(writeBitsCsv(bits), 'text/csv'),
  writeRuns: ({ runs }: { readonly runs: readonly RunRecord[] }) =>
    written(writeRunsCsv(runs), 'text/csv'),
  /** With `cardsOnly` the cards alone, without lists and templates. */
  writePack: async (
    { job, ...how }: OnPaper & { readonly job: JobOnPaper; readonly cardsOnly: boolean },
    onPage: OnPage,
  ) => printed(await writeJobPack(job, { ...how, now: new Date(), onPage: going(onPage) })),
  writeDrawing: async (
    {
      format,
      sheet,
      ...how
    }: OnPaper & {
      readonly format: DrawnFormat;
      readonly sheet: Sheet;
      readonly mirrored: boolean;
    },
    onPage: OnPage,
  ): Promise<Written | Refused> => {
    switch (format) {
      case 'dxf':
        return written(writeDxf(sheet), 'image/vnd.dxf');
      case 'svg':
        return written(writeSvg(sheet), 'image/svg+xml');
      case 'pdf':
        return printed(await writePdf(sheet, { ...how, onPage: going(onPage) }));
    }
  },
} as const;

export type FileTasks = typeof FILE_TASKS;
export type FileTaskName = keyof FileTasks;
export type FileInput<T extends FileTaskName> = Parameters<FileTasks[T]>[0];
export type FileOutcome<T extends FileTaskName> = Awaited<ReturnType<FileTasks[T]>> | Refused;

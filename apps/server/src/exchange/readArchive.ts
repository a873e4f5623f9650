import { buffer } from 'node:stream/consumers';
import { checkJobData } from '@nucleon/contract/readJobFile';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { fromBufferPromise, type Entry, type ZipFile } from 'yauzl';
import { readJson } from '../http/jsonBody';
import { faultyProblem, Problem } from '../http/problem';
import { redrawn, type Redrawn } from '../photos/redraw';
import { jobPath, pictureAt, type PictureOwner } from './archivePaths';

const MAX_ENTRIES = 5000;
const LARGEST_JOB_MB = 32;
const LARGEST_PICTURE_MB = 12;
const LARGEST_ALL_MB = 512;
const MB = 1024 * 1024;
/** Values of the job file within. */
const JOB_VALUES = 3_000_000;

export interface ArchivedPicture {
  readonly owner: PictureOwner;
  readonly ownerId: string;
  readonly id: string;
  readonly picture: Redrawn;
}

export interface Archive {
  readonly file: JobFile;
  readonly pictures: readonly ArchivedPicture[];
  /** What in it was left, and why. */
  readonly left: readonly string[];
}

/** Reads a job's archive whole. What it says of its own sizes is checked before and while it is unpacked. */
export async function readArchive(bytes: Buffer): Promise<Archive> {
  const zip = await open(bytes);
  let file: JobFile | undefined;
  const pictures: ArchivedPicture[] = [];
  const left: string[] = [];
  let unpacked = 0;
  for await (const entry of entriesOf(zip)) {
    const whose = pictureAt(entry.fileName);
    const maxMb = entry.fileName === jobPath ? LARGEST_JOB_MB : LARGEST_PICTURE_MB;
    unpacked += entry.uncompressedSize;
    if (entry.uncompressedSize > maxMb * MB || unpacked > LARGEST_ALL_MB * MB)
      throw new Problem(
        'too-large',
        `“${entry.fileName.slice(0, 100)}” is larger than an archive may hold (${maxMb} MB; ${LARGEST_ALL_MB} MB in all).`,
      );
    if (entry.fileName === jobPath) {
      const checked = checkJobData(readJson(await unpack(zip, entry), JOB_VALUES));
      if (checked.kind === 'faulty') throw faultyProblem(checked.faults);
      file = checked.value;
    } else if (whose) {
      const picture = await redrawn(await unpack(zip, entry), { maxMb: LARGEST_PICTURE_MB }).catch(
        () => null,
      );
      if (picture) pictures.push({ ...whose, picture });
      else left.push(`“${entry.fileName}” is no picture that can be opened.`);
    } else if (!entry.fileName.endsWith('/')) left.push(`“${entry.fileName}” is not known.`);
  }
  if (!file) throw faultyProblem([{ pointer: '', message: `The archive holds no ${jobPath}.` }]);
  return { file, pictures, left };
}

async function open(bytes: Buffer): Promise<ZipFile> {
  const zip = await fromBufferPromise(bytes, { lazyEntries: true, validateEntrySizes: true }).catch(
    (error: unknown) => {
      throw noArchive(error);
    },
  );
  if (zip.entryCount <= MAX_ENTRIES) return zip;
  throw new Problem(
    'too-large',
    `The archive holds ${zip.entryCount} files; at most ${MAX_ENTRIES} are read.`,
  );
}

/** A list of contents may be broken in the middle. */
async function* entriesOf(zip: ZipFile): AsyncGenerator<Entry> {
  try {
    yield* zip.eachEntry();
  } catch (error) {
    throw noArchive(error);
  }
}

async function unpack(zip: ZipFile, entry: Entry): Promise<Buffer> {
  try {
    return await buffer(await zip.openReadStreamPromise(entry));
  } catch (error) {
    throw noArchive(error);
  }
}

const noArchive = (error: unknown): Problem =>
  new Problem(
    'wrong-media-type',
    `This is no whole ZIP archive (${error instanceof Error ? error.message.slice(0, 120) : 'unreadable'}).`,
  );

import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { HEAD, SEAL, SEAL_BYTES, type BackupHead } from './backUp';

export type BackupCheck =
  | { readonly kind: 'sound'; readonly head: BackupHead }
  | { readonly kind: 'unsound'; readonly why: string };

/** A first line is never longer. */
const LONGEST_HEAD = 1000;

/** Reads a backup through to its end: whether it is one, whole and as it was written. */
export async function readBackup(path: string): Promise<BackupCheck> {
  const hash = createHash('sha256');
  let start = '';
  let tail: Buffer = Buffer.alloc(0);
  try {
    await pipeline(createReadStream(path), createGunzip(), async (bytes: AsyncIterable<Buffer>) => {
      for await (const some of bytes) {
        if (start.length < LONGEST_HEAD)
          start += some.subarray(0, LONGEST_HEAD - start.length).toString('latin1');
        const all = Buffer.concat([tail, some]);
        const end = Math.max(0, all.length - SEAL_BYTES);
        hash.update(all.subarray(0, end));
        tail = all.subarray(end);
      }
    });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOENT') return unsound('there is no such file');
    return unsound(
      code?.startsWith('Z_')
        ? 'it is no gzip file, or was cut short'
        : `it cannot be read (${String(error)})`,
    );
  }
  const [line = ''] = start.split('\n');
  const head = headOf(line);
  if (!head) return unsound('it is no backup of Nucleon’s');
  const seal = tail.toString('latin1');
  if (!seal.startsWith(SEAL)) return unsound('it was cut short: its last line is not there');
  return seal === `${SEAL}${hash.digest('hex')}\n`
    ? { kind: 'sound', head }
    : unsound('it is not as it was written: its checksum does not fit');
}

const unsound = (why: string): BackupCheck => ({ kind: 'unsound', why });

function headOf(line: string): BackupHead | null {
  if (!line.startsWith(HEAD)) return null;
  try {
    const head = JSON.parse(line.slice(HEAD.length)) as Partial<BackupHead>;
    const { format, at, step } = head;
    return format === 1 && typeof at === 'string' && typeof step === 'string'
      ? { format, at, step }
      : null;
  } catch {
    return null;
  }
}

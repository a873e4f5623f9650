import { createHistogram, type RecordableHistogram } from 'node:perf_hooks';
import { readdir, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import type { Metrics } from '@nucleon/contract/wire';
import type { RequestHandler } from 'express';

const NS_PER_MS = 1e6;
/** Less room than this on the disk is said on the screen: some weeks of work, or one large import. */
const LOW_DISK_BYTES = 1024 * 1024 * 1024;

/** Counts how long answers take. */
export interface Meter {
  readonly measure: RequestHandler;
  readonly latency: () => Metrics['latency'];
}

export function makeMeter(): Meter {
  const took: RecordableHistogram = createHistogram();
  let failed = 0;
  return {
    measure: (_request, response, next) => {
      const began = process.hrtime.bigint();
      response.once('finish', () => {
        took.record(Math.max(1, Number(process.hrtime.bigint() - began)));
        if (response.statusCode >= 500) failed++;
      });
      next();
    },
    latency: () => {
      const atMs = (percent: number): number => took.percentile(percent) / NS_PER_MS;
      const answered = took.count;
      return { answered, failed, p50Ms: atMs(50), p95Ms: atMs(95), p99Ms: atMs(99) };
    },
  };
}

/** Room on the disk a folder is on; null where it cannot be told. */
export async function diskOf(folder: string): Promise<Metrics['disk']> {
  const found = await statfs(folder).catch(() => null);
  if (!found) return null;
  const freeBytes = found.bavail * found.bsize;
  return { freeBytes, totalBytes: found.blocks * found.bsize, low: freeBytes < LOW_DISK_BYTES };
}

/** When the newest copy of the data was made; null where there is none. */
export async function newestBackup(folder: string): Promise<string | null> {
  const names = await readdir(folder).catch(() => []);
  const times = await Promise.all(
    names
      .filter((name) => name.endsWith('.sql.gz'))
      .map(async (name) => (await stat(join(folder, name))).mtimeMs),
  );
  return times.length === 0 ? null : new Date(Math.max(...times)).toISOString();
}

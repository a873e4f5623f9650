import type { JobDetail } from '@nucleon/contract/wire';
import type { DataSource } from 'typeorm';
import { storedHole } from '../holes/holeMapping';
import { storedPiece } from '../pieces/pieceMapping';
import { loadJob } from '../plans/loadJob';
import { headlinesOf } from '../plans/storePlans';
import { lastRuns } from '../runs/listRuns';
import { jobWithMaterials } from './jobMapping';

/** A job with its pieces, their holes and what each plan comes to. */
export async function jobDetail(source: DataSource, jobId: string, now: Date): Promise<JobDetail> {
  const { manager } = source;
  const loaded = await loadJob(manager, jobId);
  const headlines = await headlinesOf(source, loaded, now);
  const runs = await lastRuns(manager, loaded.job.id);
  return {
    ...jobWithMaterials(loaded.job),
    pieces: loaded.pieces.map((piece) => ({
      ...storedPiece(piece),
      holes: loaded.holes
        .filter((hole) => hole.pieceId === piece.id)
        .map((hole) => ({
          ...storedHole(hole),
          headline: headlines.of.get(hole.id) ?? null,
          faults: headlines.faulty.get(hole.id) ?? [],
          lastRun: runs.get(hole.id) ?? null,
        })),
    })),
  };
}

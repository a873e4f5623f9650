import type { JobDetail } from '@nucleon/contract/wire';
import type { DataSource } from 'typeorm';
import { byPiece, loadJob } from '../documents/loadJob';
import { loadKit } from '../documents/loadKit';
import { SHOWN } from '../documents/shown';
import { headlinesOf } from '../plans/readPlan';
import { lastRuns } from '../runs/listRuns';

/** A job with its pieces, their holes and what each plan comes to. */
export async function jobDetail(source: DataSource, jobId: string): Promise<JobDetail> {
  const [loaded, kit, runs] = await Promise.all([
    loadJob(source.manager, jobId),
    loadKit(source.manager),
    lastRuns(source.manager, jobId),
  ]);
  const headlines = await headlinesOf(source, loaded, kit);
  const holesOf = byPiece(loaded);
  return {
    ...SHOWN.job(loaded.job),
    pieces: loaded.pieces.map((piece) => ({
      ...SHOWN.piece(piece),
      holes: (holesOf.get(piece.id) ?? []).map((hole) => ({
        ...SHOWN.hole(hole),
        headline: headlines.of.get(hole.id) ?? null,
        faults: headlines.faulty.get(hole.id) ?? [],
        lastRun: runs.get(hole.id) ?? null,
      })),
    })),
  };
}

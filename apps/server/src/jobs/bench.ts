import type { Bench } from '@nucleon/contract/wire';
import { isDue } from '@nucleon/core/run/learning/bitDue';
import { isUsable } from '@nucleon/core/setup/assumeSetup';
import type { DataSource } from 'typeorm';
import { workshopNow } from '../database/workshop';
import { learnedEntity } from '../learning/learnedEntity';
import { loadKit } from '../documents/loadKit';

/** More of a kind is a list to be read in its own room. */
const MOST = 3;

/**
 * What stands on the bench: runs under way anywhere, holes that may be drilled as they stand, those of the job last
 * touched first, runs whose result nobody has said, and bits to dress or change.
 */
export async function bench(source: DataSource): Promise<Bench> {
  const runs = (outcome: string): Promise<Bench['underWay'][number][]> =>
    source.query(
      `SELECT id AS runId, JSON_VALUE(record, '$.holeName') AS holeName,
         JSON_VALUE(record, '$.pieceName') AS pieceName
       FROM run WHERE outcome = ? AND workshop_id = ? ORDER BY opened_at DESC LIMIT ?`,
      [outcome, workshopNow(), MOST],
    );
  const toDrill: Promise<Bench['toDrill'][number][]> = source.query(
    `SELECT job.id AS jobId, job.name AS jobName, piece.name AS pieceName, hole.id AS holeId,
       JSON_VALUE(hole.document, '$.label') AS holeName,
       CAST(JSON_VALUE(hole.document, '$.diameterMm') AS DOUBLE) AS diameterMm
     FROM job JOIN piece ON piece.job_id = job.id AND piece.deleted_at IS NULL
       JOIN hole ON hole.piece_id = piece.id AND hole.deleted_at IS NULL
       JOIN hole_plan ON hole_plan.hole_id = hole.id AND hole_plan.stop_count = 0
     WHERE job.workshop_id = ? AND job.deleted_at IS NULL
       AND NOT EXISTS (SELECT 1 FROM run WHERE run.hole_id = hole.id AND run.outcome <> 'given-up')
     ORDER BY job.updated_at DESC, piece.position, hole.position LIMIT ?`,
    [workshopNow(), MOST],
  );
  const { bits, experience } = await loadKit(source.manager);
  const learned = experience
    ? await source.manager.findOneBy(learnedEntity, { id: workshopNow() })
    : null;
  const due = new Set(learned?.outcome.report.bits.filter(isDue).map(({ bitId }) => bitId));
  return {
    underWay: await runs('under-way'),
    toDrill: await toDrill,
    noResult: await runs('no-result'),
    bits: bits
      .filter(({ deletedAt, document }) => deletedAt === null && !document.retired)
      .filter(
        ({ id, document }) => document.state === 'tired' || !isUsable(document) || due.has(id),
      )
      .slice(0, MOST)
      .map(({ id, document }) => {
        const { name, state = 'tired' } = document;
        const isWorn = state === 'tired' || !isUsable(document);
        return { id, name, state: isWorn ? state : ('due' as const) };
      }),
  };
}

import { BIN_DAYS } from '@nucleon/contract/wire';
import type { DataSource } from 'typeorm';
import { transact } from '../database/transact';

const DAY_MS = 24 * 3600 * 1000;

/*
 * Runs keep their record without the hole (ON DELETE SET NULL); plans go with theirs (ON DELETE CASCADE).
 */
const GONE_JOBS = 'SELECT id FROM job WHERE deleted_at < ?';
const GONE_PIECES = `SELECT id FROM piece WHERE deleted_at < ? OR job_id IN (${GONE_JOBS})`;

/** Deletes for good what has lain in the bin for its time, with all that stands in it. */
export async function emptyBin(source: DataSource, now: Date): Promise<void> {
  const before = new Date(now.getTime() - BIN_DAYS * DAY_MS);
  await transact(source, async (manager) => {
    await manager.query(`DELETE FROM hole WHERE deleted_at < ? OR piece_id IN (${GONE_PIECES})`, [
      before,
      before,
      before,
    ]);
    const pieces: { id: string }[] = await manager.query(GONE_PIECES, [before, before]);
    const ids = pieces.map(({ id }) => id);
    if (ids.length > 0) {
      await manager.query('DELETE FROM piece_photo WHERE piece_id IN (?)', [ids]);
      await manager.query('DELETE FROM piece WHERE id IN (?)', [ids]);
    }
    await manager.query('DELETE FROM job WHERE deleted_at < ?', [before]);
  });
}

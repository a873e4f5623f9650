import { DataSource } from 'typeorm';
import { holeEntity } from '../holes/holeEntity';
import { jobEntity } from '../jobs/jobEntity';
import { bitEntity } from '../kit/bitEntity';
import { kitPartEntity } from '../kit/kitPartEntity';
import { machineEntity } from '../kit/machineEntity';
import { pieceEntity } from '../pieces/pieceEntity';
import { houseEntity } from '../house/houseEntity';
import { photoEntity } from '../photos/photoEntity';
import { holePlanEntity } from '../plans/holePlanEntity';
import { Start1764000000000 } from './migrations/1764000000000-start';
import { KnowThePiece1764100000000 } from './migrations/1764100000000-know-the-piece';
import { Place1764200000000 } from './migrations/1764200000000-place';
import { Kit1764300000000 } from './migrations/1764300000000-kit';
import { Runs1764400000000 } from './migrations/1764400000000-runs';
import { runEntity, runEventEntity, runPhotoEntity } from '../runs/runEntities';

/** MariaDB with migrations only; times are UTC. */
export function createDataSource(url: string): DataSource {
  return new DataSource({
    type: 'mariadb',
    url,
    timezone: 'Z',
    charset: 'utf8mb4_unicode_ci',
    synchronize: false,
    logging: false,
    entities: [
      jobEntity,
      pieceEntity,
      holeEntity,
      holePlanEntity,
      bitEntity,
      machineEntity,
      kitPartEntity,
      photoEntity,
      houseEntity,
      runEntity,
      runEventEntity,
      runPhotoEntity,
    ],
    migrations: [
      Start1764000000000,
      KnowThePiece1764100000000,
      Place1764200000000,
      Kit1764300000000,
      Runs1764400000000,
    ],
    connectTimeout: 4000,
    poolSize: 10,
  });
}

/**
 * Does work on the database that only one server may do at a time: several may start against one.
 * The lock is the node's own, so in a cluster the work must bear being done twice at once too.
 */
export async function oneAtATime(source: DataSource, work: () => Promise<void>): Promise<void> {
  const runner = source.createQueryRunner();
  try {
    await runner.query("SELECT GET_LOCK('nucleon-start', 60)");
    await work();
    await runner.query("SELECT RELEASE_LOCK('nucleon-start')");
  } finally {
    await runner.release();
  }
}

/** Runs what migrations are due. */
export async function migrate(source: DataSource): Promise<void> {
  await source.runMigrations({ transaction: 'each' });
}

import { DataSource } from 'typeorm';
import { DOCUMENT_ENTITIES } from '../documents/documentKinds';
import { photoEntity } from '../photos/photoEntity';
import { holePlanEntity } from '../plans/holePlanEntity';
import { Start1764000000000 } from './migrations/1764000000000-start';
import { KnowThePiece1764100000000 } from './migrations/1764100000000-know-the-piece';
import { Place1764200000000 } from './migrations/1764200000000-place';
import { Kit1764300000000 } from './migrations/1764300000000-kit';
import { Runs1764400000000 } from './migrations/1764400000000-runs';
import { Risk1764500000000 } from './migrations/1764500000000-risk';
import { Documents1764600000000 } from './migrations/1764600000000-documents';
import { Learned1764700000000 } from './migrations/1764700000000-learned';
import { People1764800000000 } from './migrations/1764800000000-people';
import { News1764900000000 } from './migrations/1764900000000-news';
import { Cluster1765000000000 } from './migrations/1765000000000-cluster';
import { Passkeys1765100000000 } from './migrations/1765100000000-passkeys';
import { databaseAddress } from './databaseAddress';
import { openFailover } from './failover';
import { learnedEntity } from '../learning/learnedEntity';
import { PEOPLE_ENTITIES } from '../people/peopleEntities';
import { runEntity, runEventEntity, runPhotoEntity } from '../runs/runEntities';

/** A person's request is answered within 8 s, whatever the database does. */
const LONGEST_STATEMENT_MS = 7000;

/**
 * MariaDB with migrations only; times are UTC. Of several nodes one is used, and another when that one is gone.
 * @throws a sentence where the address is none
 * @param longestStatementMs Infinity while the tables are prepared, when a statement takes what it takes
 */
export function createDataSource(
  url: string,
  {
    longestStatementMs = LONGEST_STATEMENT_MS,
    log = () => undefined,
  }: { readonly longestStatementMs?: number; readonly log?: (text: string) => void } = {},
): DataSource {
  const address = databaseAddress(url);
  const { user, password, database, nodes } = address;
  const [{ host, port }] = nodes;
  return new DataSource({
    type: 'mariadb',
    ...{ username: user, password, database, host, port },
    timezone: 'Z',
    charset: 'utf8mb4_unicode_ci',
    synchronize: false,
    logging: false,
    entities: [
      ...DOCUMENT_ENTITIES,
      ...PEOPLE_ENTITIES,
      holePlanEntity,
      learnedEntity,
      photoEntity,
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
      Risk1764500000000,
      Documents1764600000000,
      Learned1764700000000,
      People1764800000000,
      News1764900000000,
      Cluster1765000000000,
      Passkeys1765100000000,
    ],
    connectTimeout: 3000,
    poolSize: 10,
    // A statement that hangs gives its request up; the connection is used again when it answers.
    enableQueryTimeout: Number.isFinite(longestStatementMs),
    maxQueryExecutionTime: longestStatementMs,
    ...(nodes.length > 1 && { extra: { stream: openFailover(address, log) } }),
  });
}

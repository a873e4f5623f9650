import type { ServerResponse } from 'node:http';
import { setImmediate, setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { compileAhead } from '@nucleon/contract/validator';
import { v7 as newId } from 'uuid';
import { heavyElsewhere } from './annex/heavyElsewhere';
import { openAnnex } from './annex/openAnnex';
import { emptyBin } from './bin/emptyBin';
import { buildApp } from './buildApp';
import { readConfig, type ServerConfig } from './config';
import { backUp } from './backup/backUp';
import { backUpNightly } from './backup/nightly';
import { databaseAddress } from './database/databaseAddress';
import { createDataSource } from './database/dataSource';
import { nameOf } from './database/failover';
import { migrate, oneAtATime } from './database/migrate';
import { afterCommits } from './database/transact';
import { loadDemo } from './exchange/loadDemo';
import { keepLearning } from './learning/keepLearning';
import { inWorkshop } from './people/asking';
import { openNewsroom } from './news/newsroom';
import { ownerLink } from './people/ownerLink';
import { openReach } from './reach/openReach';

const DEMO_FOLDER = fileURLToPath(new URL('../../../demo/', import.meta.url));
/** What is on its way here when the server is told to stop is still let in. */
const LET_IN_MS = 200;
/** Of the event loop, which takes one connection in each and reads its request in the next. */
const TURNS = 500;
/** Requests in flight get so long to finish once the server is told to stop. */
const FINISH_WITHIN_MS = 8000;
const LOOK_MS = 50;
/** Between two schemas that are made ready requests are answered. */
const REST_MS = 20;

const log = (text: string): void => {
  process.stderr.write(`${text}\n`);
};
const giveUp = (text: string): never => {
  log(text);
  process.exit(1);
};

function configOrEnd(): ServerConfig {
  try {
    return readConfig(process.env);
  } catch (error) {
    return giveUp(error instanceof Error ? error.message : String(error));
  }
}

/** Serves until told to stop; prints one line when it listens, for the start script to read. */
const config = configOrEnd();
const source = createDataSource(config.databaseUrl, { log });
const copyFirst = async (): Promise<void> => {
  if (config.backupFolder === undefined) return;
  const path = await backUp(config.databaseUrl, config.backupFolder, 'before-update', new Date());
  log(`The data was copied to ${path} before it is brought to this version.`);
};
/** Brings the database to this version and loads the demo where there is nothing yet. */
async function prepare(): Promise<void> {
  const patient = createDataSource(config.databaseUrl, { longestStatementMs: Infinity });
  await patient.initialize();
  await oneAtATime(patient, async () => {
    await migrate(patient, copyFirst);
    await loadDemo(
      patient,
      config.demo,
      DEMO_FOLDER,
      () => newId(),
      () => new Date(),
    );
  });
  await patient.destroy();
}
try {
  await prepare();
  await source.initialize();
} catch (error) {
  const { nodes, database } = databaseAddress(config.databaseUrl);
  giveUp(
    `The database ${nodes.map(nameOf).join(', ')}/${database} could not be used: ${error instanceof Error ? error.message || error.name : String(error)}.`,
  );
}

/** What has lain in the bins for its time is deleted at the start and each day. */
const DAY_MS = 24 * 3600 * 1000;
function emptyBins(): void {
  emptyBin(source, new Date()).catch((error: unknown) => {
    log(
      `The bins could not be emptied: ${error instanceof Error ? error.message : String(error)}.`,
    );
  });
}
emptyBins();
setInterval(emptyBins, DAY_MS).unref();

/** A copy a day, looked for so often; not at the start, when people wait. */
const LOOK_FOR_NIGHTLY_MS = 10 * 60 * 1000;
const { backupFolder } = config;
if (backupFolder !== undefined)
  setInterval(() => {
    backUpNightly(config.databaseUrl, backupFolder, new Date()).catch((error: unknown) => {
      log(`The nightly copy failed: ${error instanceof Error ? error.message : String(error)}.`);
    });
  }, LOOK_FOR_NIGHTLY_MS).unref();

const tools = { source, now: () => new Date(), newId: () => newId() };
const orEnd = <T>(promise: Promise<T>): Promise<T> =>
  promise.catch((error: unknown) => giveUp(error instanceof Error ? error.message : String(error)));
const { doors, listen } = await orEnd(openReach(config, tools.now, log));
const newsroom = openNewsroom(source, tools.now, log);
afterCommits(source, newsroom.wake);
const annex = openAnnex(config.databaseUrl, log);
const heavy = heavyElsewhere(annex);
const base = { ...tools, heavy, log, doors, backupFolder, newsroom, annex };
const learning = keepLearning(base);
for (const { id } of await tools.source.query<{ id: string }[]>('SELECT id FROM workshop'))
  inWorkshop(id, tools.now(), learning.changed);
const listening = await orEnd(listen(buildApp({ ...base, learning }, config.webFolder)));
const link = doors.signsIn ? await orEnd(ownerLink(tools, config.newOwnerLink)) : null;
// For the start script to read; the last line says that it listens.
if (link !== null) process.stdout.write(`owner ${listening.address}/join#${link}\n`);
const { trustAddress } = doors.reach();
if (trustAddress !== null) process.stdout.write(`trust ${trustAddress}\n`);
process.stdout.write(`listening ${listening.address}\n`);

let stopping = false;
// Not once it is told to stop: whoever is at the door is let in first.
void compileAhead(() => (stopping ? new Promise(() => undefined) : sleep(REST_MS)));
/** Takes what is on its way, then no more; lets what is under way finish, then closes. */
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  // Nobody asks again on a connection that is about to close.
  for (const server of listening.servers)
    server.prependListener('request', (_request, response: ServerResponse) => {
      response.setHeader('Connection', 'close');
    });
  await sleep(LET_IN_MS);
  // Where something held up the thread, who knocked meanwhile is let in, then heard.
  for (let turn = 0; turn < TURNS; turn++) await setImmediate();
  newsroom.close();
  const idle = setInterval(() => {
    for (const server of listening.servers) server.closeIdleConnections();
  }, LOOK_MS);
  const late = setTimeout(() => {
    for (const server of listening.servers) server.closeAllConnections();
  }, FINISH_WITHIN_MS);
  await listening.close();
  clearInterval(idle);
  clearTimeout(late);
  await Promise.allSettled([heavy.close(), source.destroy()]);
  process.exit(0);
}
const stopNow = (): void => void stop();
process.on('SIGTERM', stopNow);
process.on('SIGINT', stopNow);
if (config.stopsWithInput) process.stdin.on('end', stopNow).on('error', stopNow).resume();
// Nothing is expected here: it is said, and what else is under way goes on.
process.on('unhandledRejection', (reason) => {
  log(`Unhandled: ${reason instanceof Error ? (reason.stack ?? reason.message) : String(reason)}`);
});

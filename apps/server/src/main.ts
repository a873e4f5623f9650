import { fileURLToPath } from 'node:url';
import { v7 as newId } from 'uuid';
import { buildApp } from './buildApp';
import { readConfig } from './config';
import { createDataSource, migrate, oneAtATime } from './database/dataSource';
import { loadDemo } from './exchange/loadDemo';

const DEMO_FOLDER = fileURLToPath(new URL('../../../demo/', import.meta.url));

/** Serves until told to stop; prints one line when it listens, for the start script to read. */
const config = readConfig(process.env);
const source = createDataSource(config.databaseUrl);
try {
  await source.initialize();
  await oneAtATime(source, async () => {
    await migrate(source);
    await loadDemo(
      source,
      config.demo,
      DEMO_FOLDER,
      () => newId(),
      () => new Date(),
    );
  });
} catch (error) {
  const { host, pathname } = new URL(config.databaseUrl);
  process.stderr.write(
    `The database ${host}${pathname} could not be used: ${error instanceof Error ? error.message || error.name : String(error)}.\n`,
  );
  process.exit(1);
}

const log = (text: string): void => {
  process.stderr.write(`${text}\n`);
};
const app = buildApp(
  { source, now: () => new Date(), newId: () => newId(), log },
  config.webFolder,
);
const server = app.listen(config.port, config.host, (error) => {
  if (error) {
    log(`Cannot listen on ${config.host}:${config.port}: ${error.message}.`);
    process.exit(1);
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  process.stdout.write(`listening http://${config.host}:${port}\n`);
});

let stopping = false;
function stop(): void {
  if (stopping) return;
  stopping = true;
  server.closeAllConnections();
  server.close(() => {
    void source.destroy().finally(() => process.exit(0));
  });
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);

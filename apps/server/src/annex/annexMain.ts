import { rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { dirname } from 'node:path';
import { compileAhead } from '@nucleon/contract/validator';
import { v7 as newId } from 'uuid';
import { createDataSource } from '../database/dataSource';
import { threadedWork } from '../heavy/threadedWork';
import { annexApp } from './annexApp';

/** The process beside the server: it does what would hold up others, and ends when the server does. */
const [, , socketPath = ''] = process.argv;
function end(): void {
  rmSync(dirname(socketPath), { recursive: true, force: true });
  process.exit();
}
process.on('disconnect', end);
// It may have ended while this one was read in.
if (!process.connected) end();
// A signal meant for the server reaches its whole group; what is under way here ends with the server, not before.
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, () => undefined);

const log = (text: string): void => {
  process.stderr.write(`${text}\n`);
};
const source = createDataSource(process.env.NUCLEON_DB_URL ?? '');
await source.initialize();
const context = { source, now: () => new Date(), newId: () => newId(), heavy: threadedWork() };
createServer(annexApp(context, log)).listen(socketPath, () => {
  // Nobody hears it where the server has ended meanwhile.
  process.send?.('listening', undefined, undefined, () => undefined);
});
await compileAhead(() => Promise.resolve());

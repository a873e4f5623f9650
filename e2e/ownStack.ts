import type { ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface Running {
  readonly stop: () => Promise<void>;
}
export type Database = Running & {
  readonly url: string;
  readonly port: number;
  readonly pid: number;
};
export type Server = Running & { readonly address: string; readonly child: ChildProcess };

/** A stack of a journey's own, so that its server or database can be taken away. */
export async function ownStack(): Promise<{
  startDatabase: (port?: number) => Promise<Database>;
  startServer: (url: string, port?: number) => Promise<Server>;
}> {
  const folder = join(import.meta.dirname, '..', 'scripts', 'setup');
  const { startMariadb } = (await import(join(folder, 'mariadb.mjs'))) as {
    startMariadb: (where: string, options: object) => Promise<Database>;
  };
  const { startServer } = (await import(join(folder, 'server.mjs'))) as {
    startServer: (options: object) => Promise<Server>;
  };
  const { WEB_FOLDER } = (await import(join(folder, 'web.mjs'))) as { WEB_FOLDER: string };
  const data = mkdtempSync(join(tmpdir(), 'nucleon-away-'));
  return {
    startDatabase: (port) => startMariadb(data, port === undefined ? {} : { port }),
    startServer: (databaseUrl, port) =>
      startServer({
        databaseUrl,
        web: WEB_FOLDER,
        demo: 'load',
        ...(port === undefined ? {} : { port }),
      }),
  };
}

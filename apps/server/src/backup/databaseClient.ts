import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { databaseAddress } from '../database/databaseAddress';
import { answeringNode } from '../database/failover';

/** MariaDB's own programs, on one database and one node of it, its password off the command line. */
export interface DatabaseClient {
  readonly child: ChildProcess;
  /** When it has ended well. @throws with what it said where it has not */
  readonly ended: Promise<void>;
}

export async function databaseClient(
  program: 'mariadb' | 'mariadb-dump',
  databaseUrl: string,
  options: readonly string[] = [],
): Promise<DatabaseClient> {
  const address = databaseAddress(databaseUrl);
  const { host, port } = await answeringNode(address);
  const child = spawn(
    program,
    [
      '--no-defaults',
      `--host=${host}`,
      `--port=${port}`,
      `--user=${address.user}`,
      '--default-character-set=utf8mb4',
      ...options,
      address.database,
    ],
    {
      stdio: ['pipe', 'pipe', 'pipe'],
      env: { ...process.env, MYSQL_PWD: address.password },
    },
  );
  let said = '';
  child.stderr.on('data', (text: Buffer) => (said += text.toString()));
  // What it did not read is told by how it ends.
  child.stdin.on('error', () => undefined);
  const ended = once(child, 'close').then(
    ([code]: (number | null)[]) => {
      if (code !== 0) throw new Error(said.trim().slice(0, 500) || `${program} ended with ${code}`);
    },
    (error: unknown) => {
      throw (error as NodeJS.ErrnoException).code === 'ENOENT'
        ? new Error(`${program} is not installed (Debian’s mariadb-client)`)
        : error;
    },
  );
  // Waited for when its turn comes.
  ended.catch(() => undefined);
  return { child, ended };
}

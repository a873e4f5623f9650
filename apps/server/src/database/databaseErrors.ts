const DOWN = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_CON_COUNT_ERROR',
  'ER_SERVER_SHUTDOWN',
  'ER_LOCK_WAIT_TIMEOUT',
  // The driver's word for a statement that took longer than it has.
  'PROTOCOL_SEQUENCE_TIMEOUT',
  // A Galera node that has left the cluster.
  'ER_UNKNOWN_COM_ERROR',
]);
/** What MariaDB, InnoDB and the system call a disk without room. */
const FULL = new Set(['ENOSPC', 'ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE']);
const READ_ONLY = new Set([
  'EROFS',
  'ER_OPTION_PREVENTS_STATEMENT',
  'ER_OPEN_AS_READONLY',
  'ER_READ_ONLY_MODE',
]);
/** Another's row of the same id was not yet to be seen when it was looked for: the next time it is. */
const RETRY = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD', 'ER_DUP_ENTRY']);

function codeOf(error: unknown): string {
  if (typeof error !== 'object' || error === null) return '';
  const { code, driverError } = error as { code?: unknown; driverError?: unknown };
  if (typeof code === 'string') return code;
  return driverError === undefined ? '' : codeOf(driverError);
}

export function isDatabaseDown(error: unknown): boolean {
  if (DOWN.has(codeOf(error))) return true;
  return /connection is in closed state|not connected|Connection lost|not established/i.test(
    textOf(error),
  );
}

/** Lost a race for a row, or a cluster's certification: the same work may pass the next time. */
export const isWorthRetrying = (error: unknown): boolean => RETRY.has(codeOf(error));

/** Work that whoever won a race for its row has done just as well. */
export const doneByEither = async (work: Promise<unknown>): Promise<void> => {
  await work.catch((error: unknown) => {
    if (!isWorthRetrying(error)) throw error;
  });
};

export const isDuplicateKey = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY';

export const isDiskFull = (error: unknown): boolean =>
  FULL.has(codeOf(error)) || /errcode: 28\b|no space left/i.test(textOf(error));

export const isReadOnly = (error: unknown): boolean =>
  READ_ONLY.has(codeOf(error)) || /errcode: 30\b|read-only/i.test(textOf(error));

const textOf = (error: unknown): string => (error instanceof Error ? error.message : '');

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
  // A Galera node that has left the cluster.
  'ER_UNKNOWN_COM_ERROR',
]);
const RETRY = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD']);

function codeOf(error: unknown): string {
  if (typeof error !== 'object' || error === null) return '';
  const { code, driverError } = error as { code?: unknown; driverError?: unknown };
  if (typeof code === 'string') return code;
  return driverError === undefined ? '' : codeOf(driverError);
}

export function isDatabaseDown(error: unknown): boolean {
  if (DOWN.has(codeOf(error))) return true;
  const text = error instanceof Error ? error.message : '';
  return /connection is in closed state|not connected|Connection lost|not established/i.test(text);
}

/** Lost a race for a row, or a cluster's certification: the same work may pass the next time. */
export const isWorthRetrying = (error: unknown): boolean => RETRY.has(codeOf(error));

export const isDuplicateKey = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY';

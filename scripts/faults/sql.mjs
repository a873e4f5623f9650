/** Asks MariaDB itself, past the server. */
import { capture } from '../setup/run.mjs';

/** @returns a function from SQL to what it prints, columns apart by tabs */
export function asking({ url, port }) {
  const { password } = new URL(url);
  const words = ['--no-defaults', '-h127.0.0.1', `-P${port}`, '-unucleon', `-p${password}`];
  return async (sql) => (await capture('mariadb', [...words, '-N', '-e', sql])).out.trim();
}

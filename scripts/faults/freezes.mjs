/** A database that stands still and goes on: every request is answered, and nothing is written that was refused. */
import { sleep } from '../setup/run.mjs';
import { keepWriting, openLedger } from './ledger.mjs';
import { newFolder, openStack } from './stack.mjs';
import { watchStalls } from './stalls.mjs';

const ANSWER_WITHIN_MS = 10_000;

export async function freezes({ work, short }) {
  const data = await newFolder(work, 'freeze-');
  const stack = await openStack(data, { words: ['--empty'] });
  const ledger = await openLedger({ addresses: [stack.address] });
  const result = { hung: 0, failedToStart: 0 };
  try {
    for (let round = 0; round < (short ? 1 : 3); round++) {
      const stop = keepWriting(ledger, 2);
      await sleep(300);
      const database = await stack.databasePid();
      const stalls = watchStalls(data);
      process.kill(database, 'SIGSTOP');
      const reads = await Promise.all(
        Array.from({ length: 30 }, () =>
          ledger.send('GET', '/jobs').catch(() => ({ status: 0, tookMs: Infinity })),
        ),
      );
      process.kill(database, 'SIGCONT');
      const withinMs = ANSWER_WITHIN_MS + (await stalls.end());
      result.hung += reads.filter(({ tookMs }) => tookMs > withinMs).length;
      if (!(await stack.isHealthy(20_000))) result.failedToStart++;
      await stop();
      await ledger.resend();
    }
    return { ...(await ledger.audit()), ...result };
  } finally {
    await stack.stop();
  }
}

/** More writes than can be taken: they are answered soon or sent away, never left waiting. */
import { sleep } from '../setup/run.mjs';
import { openLedger } from './ledger.mjs';
import { newFolder, openStack } from './stack.mjs';
import { watchStalls } from './stalls.mjs';

/** So many times what one caller after another gets answered are asked for. */
const TIMES_OVER = 4;
const MAX_PER_SECOND = 400;
/** Written one after another to learn what this machine takes, once the server is warm. */
const WARM = 20;
const PACED = 40;
/** The longest anyone waits for a word, ms, beyond what the machine itself stood still. */
const SOON_MS = 2500;

export async function load({ work, short }) {
  const folder = await newFolder(work, 'load-');
  const stack = await openStack(folder, { words: ['--empty'] });
  const ledger = await openLedger({ addresses: [stack.address] });
  const inTurn = async (count) => {
    const began = Date.now();
    for (let n = 0; n < count; n++) await ledger.writeOne();
    return (count * 1000) / (Date.now() - began);
  };
  try {
    await inTurn(WARM);
    const perSecond = Math.min(Math.round(TIMES_OVER * (await inTurn(PACED))), MAX_PER_SECOND);
    const stalls = watchStalls(folder);
    const answers = await Promise.all(
      Array.from({ length: perSecond * (short ? 3 : 10) }, async (_, index) => {
        await sleep((index * 1000) / perSecond);
        return ledger.writeOne();
      }),
    );
    const stalledMs = await stalls.end();
    const times = answers.map((answer) => answer?.tookMs ?? Infinity).sort((a, b) => a - b);
    const shed = answers.filter((answer) => answer?.status === 503).length;
    const odd = answers.filter((answer) => ![200, 503].includes(answer?.status)).length;
    const { tried, lost, doubled } = await ledger.audit();
    return {
      perSecond,
      tried,
      lost,
      doubled,
      shed,
      stalledMs,
      p95Ms: times[Math.floor(0.95 * times.length)],
      hung: times.filter((ms) => ms > SOON_MS + stalledMs).length,
      cut: odd,
    };
  } finally {
    await stack.stop();
  }
}

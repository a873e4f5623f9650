/** Server, database and the start itself killed while holes and run entries are being written. */
import { createServer } from 'node:net';
import { sleep } from '../setup/run.mjs';
import { keepWriting, openLedger } from './ledger.mjs';
import { isAlive, newFolder, openStack, until } from './stack.mjs';

const killed = async (pid) => {
  process.kill(pid, 'SIGKILL');
  await until(() => Promise.resolve(!isAlive(pid)), 5000, 5);
};

/** Takes a port for a while, as another program might. */
async function squat(port, forMs) {
  const taker = createServer().on('error', () => undefined);
  await new Promise((resolve) => {
    taker.listen(port, '127.0.0.1', resolve);
    taker.once('error', resolve);
  });
  await sleep(forMs);
  taker.close();
}

const portOf = (address) => Number(new URL(address).port);

/** Ways for parts to die; each leaves the whole to come back by itself. */
const DEATHS = {
  server: async (stack) => killed(await stack.serverPid()),
  database: async (stack) => killed(await stack.databasePid()),
  'server and database': async (stack) => {
    const [server, database] = [await stack.serverPid(), await stack.databasePid()];
    await Promise.all([killed(server), killed(database)]);
  },
  'server, twice': async (stack) => {
    const first = await stack.serverPid();
    await killed(first);
    await until(async () => (await stack.serverPid()) !== first, 30_000, 20);
    await killed(await stack.serverPid());
  },
  'server, its port taken': async (stack) => {
    await killed(await stack.serverPid());
    await squat(portOf(stack.address), 1500);
  },
};

export async function kills({ work, random, short }) {
  const data = await newFolder(work, 'kills-');
  const stack = await openStack(data, { words: ['--empty'] });
  const ledger = await openLedger(stack.address);
  const result = { failedToStart: 0, orphans: 0 };
  const backMs = [];
  try {
    const ways = Object.entries(DEATHS);
    const rounds = short ? ways.length : 4 * ways.length;
    for (let round = 0; round < rounds; round++) {
      const [name, die] = ways[round % ways.length];
      const stop = keepWriting(ledger);
      await sleep(150 + random() * 600);
      const died = Date.now();
      await die(stack);
      if (!(await stack.isHealthy(60_000))) {
        result.failedToStart++;
        console.log(`  did not come back from: ${name}\n${stack.said().slice(-800)}`);
      } else if (name === 'server') backMs.push(Date.now() - died);
      await sleep(100);
      await stop();
      await ledger.resend();
    }
    if (/unhandled/i.test(stack.said())) console.log(`  unhandled: ${stack.said().slice(-500)}`);
    const audit = await ledger.audit();
    const [server, database] = [await stack.serverPid(), await stack.databasePid()];
    await stack.kill();
    // With the start gone nothing of it stays behind.
    if (!(await until(() => Promise.resolve(!isAlive(server) && !isAlive(database)), 20_000)))
      result.orphans++;
    const again = await openStack(data, { words: ['--empty'] }).catch((error) => {
      console.log(`  after the start was killed: ${error.message}`);
      result.failedToStart++;
      return null;
    });
    await again?.stop();
    // Of the server alone, killed once.
    return { ...audit, ...result, backWithinMs: Math.max(...backMs) };
  } finally {
    await stack.stop();
  }
}

/** Told to stop with requests under way: each that was let in is answered. */
export async function stops({ work, short }) {
  const data = await newFolder(work, 'stops-');
  let [tried, cut, lost, doubled] = [0, 0, 0, 0];
  for (let round = 0; round < (short ? 1 : 4); round++) {
    const stack = await openStack(data, { words: ['--empty'] });
    const ledger = await openLedger(stack.address);
    const writes = Array.from({ length: 25 }, () => ledger.writeOne());
    // They are under way once the first is answered.
    await Promise.race(writes);
    const stopped = stack.stop();
    const answers = await Promise.all(writes);
    await stopped;
    tried += answers.length;
    cut += answers.filter((answer) => answer === null).length;
    const again = await openStack(data, { port: portOf(stack.address), words: ['--empty'] });
    const audit = await ledger.audit();
    [lost, doubled] = [lost + audit.lost, doubled + audit.doubled];
    await again.stop();
  }
  return { tried, lost, doubled, cut };
}

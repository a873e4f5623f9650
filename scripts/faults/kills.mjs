/** Server, database and the start itself killed while holes and run entries are being written. */
import { createServer } from 'node:net';
import { freePort } from '../setup/freePort.mjs';
import { sleep } from '../setup/run.mjs';
import { ALL_WRITES, keepWriting, openLedger } from './ledger.mjs';
import { openProxy, PROXY_NAME } from './proxy.mjs';
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
    await squat(stack.port, 1500);
  },
};

/** On its own machine, where nobody signs in. */
const AT_HOME = {
  words: [],
  pace: {},
  enter: async ({ address }) => ({ address, headers: {}, leave: () => undefined }),
};

/** Everybody signed in, behind a proxy that does TLS for the name people open. */
const BEHIND_PROXY = {
  // One device, at a hand’s pace: more is refused.
  pace: { atOnce: 1, restMs: 50 },
  words: ['--behind-proxy', `https://${PROXY_NAME}`],
  enter: async (stack) => {
    const proxy = await openProxy(stack.port);
    const [token] = /[\w-]{43}/.exec(stack.said());
    const person = { name: 'Ida', password: 'diamond and water', device: 'Phone' };
    const joined = await fetch(`${proxy.address}/api/v1/invitations/join`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ token, ...person }),
    });
    const [cookie] = joined.headers.get('set-cookie').split(';');
    return { address: proxy.address, headers: { cookie }, leave: proxy.close };
  },
};

export const kills = (asked) => dying(asked, AT_HOME, 16);
export const signedInKills = (asked) => dying(asked, BEHIND_PROXY, 13);

/** @param cycles how often each way to die is gone in the long form */
async function dying({ work, random, short }, { words, pace, enter }, cycles) {
  const data = await newFolder(work, 'kills-');
  const stack = await openStack(data, { port: await freePort(), words: ['--empty', ...words] });
  const { address, headers, leave } = await enter(stack);
  const ledger = await openLedger({ addresses: [address], headers, writes: ALL_WRITES });
  const result = { kills: 0, failedToStart: 0, orphans: 0 };
  const backMs = [];
  try {
    const ways = Object.entries(DEATHS);
    const rounds = short ? ways.length : cycles * ways.length;
    for (let round = 0; round < rounds; round++) {
      const [name, die] = ways[round % ways.length];
      const stop = keepWriting(ledger, pace);
      await sleep(150 + random() * 600);
      const died = Date.now();
      await die(stack);
      result.kills += / and |twice/.test(name) ? 2 : 1;
      if (!(await stack.isHealthy(60_000, address))) {
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
    const again = await openStack(data, { words: ['--empty', ...words] }).catch((error) => {
      console.log(`  after the start was killed: ${error.message}`);
      result.failedToStart++;
      return null;
    });
    await again?.stop();
    // Of the server alone, killed once.
    return { ...audit, ...result, backWithinMs: Math.max(...backMs) };
  } finally {
    leave();
    await stack.stop();
  }
}

/** Told to stop with requests under way: each that was let in is answered. */
export async function stops({ work, short }) {
  const data = await newFolder(work, 'stops-');
  let [tried, cut, lost, doubled] = [0, 0, 0, 0];
  for (let round = 0; round < (short ? 1 : 4); round++) {
    const stack = await openStack(data, { words: ['--empty'] });
    const ledger = await openLedger({ addresses: [stack.address] });
    const writes = Array.from({ length: 25 }, () => ledger.writeOne());
    // They are under way once the first is answered.
    await Promise.race(writes);
    const stopped = stack.stop();
    const answers = await Promise.all(writes);
    await stopped;
    tried += answers.length;
    cut += answers.filter((answer) => answer === null).length;
    const again = await openStack(data, { port: stack.port, words: ['--empty'] });
    const audit = await ledger.audit();
    [lost, doubled] = [lost + audit.lost, doubled + audit.doubled];
    await again.stop();
  }
  return { tried, lost, doubled, cut };
}

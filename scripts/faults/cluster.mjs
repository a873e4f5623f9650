/** One of three nodes, one of two servers, or both taken away while three devices drill, log and edit. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { sleep } from '../setup/run.mjs';
import { asRoot } from '../cluster/regroup.mjs';
import { freePort } from '../setup/freePort.mjs';
import { socketPath, urlOf } from '../setup/mariadb.mjs';
import { ALL_WRITES, keepWriting, openLedger } from './ledger.mjs';
import { newFolder, openStack, until } from './stack.mjs';
import { watchStalls } from './stalls.mjs';

const DEVICES = 3;
/** A device waits no longer than this for its next write. */
const WITHIN_MS = 10_000;
const FROZEN_MS = 6000;
const REJOINED_WITHIN_MS = 60_000;
const LINES_SAID = 40;

const status = (name) =>
  `(SELECT VARIABLE_VALUE FROM information_schema.GLOBAL_STATUS WHERE VARIABLE_NAME = '${name}')`;
const SYNCED = `SELECT ${status('wsrep_local_state')} AS state, ${status('wsrep_cluster_size')} AS size`;
const ROWS = `SELECT (SELECT COUNT(*) FROM hole) AS holes, (SELECT BIT_XOR(CRC32(CONCAT(id, version))) FROM hole) AS h,
  (SELECT COUNT(*) FROM run_event) AS entries, (SELECT BIT_XOR(CRC32(CONCAT(run_id, id, seq))) FROM run_event) AS e`;

const pick = (random, list) => list[Math.floor(random() * list.length)];

/** Each takes the processes it is to take away. */
const DEATHS = {
  'a node': ({ node }) => process.kill(node, 'SIGKILL'),
  'a server': ({ server }) => process.kill(server, 'SIGKILL'),
  'a node and a server': ({ node, server }) => {
    process.kill(node, 'SIGKILL');
    process.kill(server, 'SIGKILL');
  },
  'a node, frozen': async ({ node }) => {
    process.kill(node, 'SIGSTOP');
    await sleep(FROZEN_MS);
    process.kill(node, 'SIGCONT');
  },
  'a node, told to stop': ({ node }) => process.kill(node, 'SIGTERM'),
  // Up, and out of its group for good.
  'a node, cut off': ({ data, number }) =>
    onNode(data, number, `SET GLOBAL wsrep_provider_options = 'gmcast.isolate=1'`),
  // Of the two that are left the one that remains may not go on alone, until it is known to have the most.
  'two nodes, one after the other': async ({ node, otherNode }) => {
    process.kill(node, 'SIGTERM');
    await sleep(2000);
    process.kill(otherNode, 'SIGKILL');
  },
};
/** So long until what is left of the nodes is let go on, and some more. */
const WITHOUT_QUORUM_MS = 45_000;

const onNode = async (data, number, sql) => {
  const folder = join(data, `node-${number}`);
  const password = (await readFile(join(folder, 'password'), 'utf8')).trim();
  return asRoot({ socket: socketPath(folder), password }, sql);
};

/** What went wrong at a node, by its own log. */
const whatNodeSays = async (data, number) => {
  const log = await readFile(join(data, `node-${number}`, 'mariadbd.log'), 'utf8').catch(() => '');
  const lines = log.split('\n').filter((line) => /ERROR|Warning|transfer|SST|IST/.test(line));
  return `  node ${number}:\n${lines.slice(-LINES_SAID).join('\n')}`;
};

/** Asks each node the same. @throws where one does not answer */
const onEachNode = async (data, { nodes }, sql) => {
  const password = (await readFile(join(data, 'node-1', 'password'), 'utf8')).trim();
  return Promise.all(
    nodes.map(async ({ port }) => {
      const connection = await createConnection({
        uri: urlOf(password, port),
        connectTimeout: 2000,
      });
      try {
        return (await connection.query(sql))[0][0];
      } finally {
        connection.destroy();
      }
    }),
  );
};

export async function cluster({ work, random, short }) {
  const data = await newFolder(work, 'cluster-');
  const stack = await openStack(data, {
    script: 'cluster.mjs',
    port: await freePort(),
    words: ['--empty'],
  });
  const result = { tried: 0, lost: 0, doubled: 0, unanswered: 0, failedToStart: 0, hung: 0 };
  let [waitedMs, withoutQuorumMs] = [0, 0];
  try {
    const { servers } = await stack.note();
    const addresses = servers.map(({ address }) => address);
    const ledgers = [];
    for (let i = 0; i < DEVICES; i++)
      ledgers.push(
        await openLedger({
          addresses: [...addresses.slice(i % 2), ...addresses.slice(0, i % 2)],
          writes: ALL_WRITES,
        }),
      );
    const ways = Object.entries(DEATHS);
    for (let round = 0; round < (short ? 2 : 3 * ways.length); round++) {
      // The last two are the hardest of the short form.
      const [name, die] = ways[short ? round + 2 : round % ways.length];
      const note = await stack.note();
      const stop = ledgers.map((ledger) => keepWriting(ledger, { atOnce: 1 }));
      await sleep(500 + random() * 500);
      for (const ledger of ledgers) ledger.longestWaitMs();
      const stalls = watchStalls(data);
      const number = 1 + Math.floor(random() * note.nodes.length);
      await die({
        data,
        number,
        node: note.nodes[number - 1].pid,
        otherNode: note.nodes[number % note.nodes.length].pid,
        server: pick(random, note.servers).pid,
      });
      const isQuorumLost = name.startsWith('two nodes');
      const withinMs = isQuorumLost ? WITHOUT_QUORUM_MS : WITHIN_MS;
      await sleep(withinMs);
      const longestMs = Math.max(...ledgers.map((ledger) => ledger.longestWaitMs()));
      if (isQuorumLost) withoutQuorumMs = Math.max(withoutQuorumMs, longestMs);
      else waitedMs = Math.max(waitedMs, longestMs);
      if (longestMs > withinMs + (await stalls.end())) result.hung++;
      await Promise.all(stop.map((end) => end()));
      console.log(`  ${name}: a device waited ${longestMs} ms`);
      const isWhole = async () => {
        const states = await onEachNode(data, await stack.note(), SYNCED);
        const health = await Promise.all(addresses.map((one) => fetch(`${one}/api/v1/health`)));
        if (!health.every(({ ok }) => ok)) return false;
        return states.every(({ state, size }) => state === '4' && Number(size) === states.length);
      };
      const isJoined = await until(isWhole, REJOINED_WITHIN_MS, 500);
      for (const ledger of ledgers) await ledger.resend();
      if (!isJoined) {
        result.failedToStart++;
        console.log(`  not whole again after: ${name}, node ${number}`);
        for (const i of note.nodes.keys()) console.log(await whatNodeSays(data, i + 1));
        // A cluster that is not whole has nothing more to lose.
        break;
      }
    }
    for (const audit of await Promise.all(ledgers.map((ledger) => ledger.audit())))
      for (const [count, value] of Object.entries(audit)) result[count] += value;
    const rows = result.failedToStart > 0 ? [] : await onEachNode(data, await stack.note(), ROWS);
    if (new Set(rows.map((one) => JSON.stringify(one))).size > 1) {
      result.lost++;
      console.log(`  the nodes differ: ${JSON.stringify(rows)}`);
    }
    return { ...result, waitedMs, ...(withoutQuorumMs > 0 ? { withoutQuorumMs } : {}) };
  } finally {
    await stack.stop();
  }
}

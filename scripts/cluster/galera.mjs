/**
 * MariaDB nodes that hold one database between them, each in a folder of its own, on the loopback: Galera,
 * certification-based synchronous replication (MariaDB documentation, “Galera Cluster”: system variables,
 * provider options, recovery).
 */
import { existsSync } from 'node:fs';
import { copyFile, mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { regroup, statusOf } from './regroup.mjs';
import { keepUp } from '../setup/keepUp.mjs';
import { freePort } from '../setup/freePort.mjs';
import { startMariadb, stopLeftBehind } from '../setup/mariadb.mjs';
import { capture } from '../setup/run.mjs';
import { asUser, unprivileged } from '../setup/unprivileged.mjs';

const PROVIDER = '/usr/lib/galera/libgalera_smm.so';
/** Of what was written a node keeps so much for others that were away; after more they take a whole copy. */
const KEPT_WRITES = '128M';
/** A node that is not heard from for so long is left out, and the others go on. */
const SUSPECT_S = 3;
const INACTIVE_S = 8;
/** A node that comes back sooner meets the others before they have agreed on who is left. */
const BACK_AFTER_MS = 5000;
/** What a node listens on: for queries, the group, what it missed (IST), a whole copy (SST). */
const freePorts = async () => ({
  sql: await freePort(),
  group: await freePort(),
  missed: await freePort(),
  copy: await freePort(),
});

const replicates = ['--wsrep-on=ON', `--wsrep-provider=${PROVIDER}`, '--binlog-format=ROW'];

/** What a node is told beyond what a server of its own is; it goes first where it has nobody to join. */
function nodeWords(own, others, position) {
  const options = {
    'gmcast.listen_addr': `tcp://127.0.0.1:${own.group}`,
    'ist.recv_addr': `127.0.0.1:${own.missed}`,
    'gcache.size': KEPT_WRITES,
    'evs.keepalive_period': 'PT0.5S',
    'evs.suspect_timeout': `PT${SUSPECT_S}S`,
    'evs.inactive_timeout': `PT${INACTIVE_S}S`,
  };
  return [
    ...replicates,
    '--wsrep-cluster-name=nucleon',
    `--wsrep-cluster-address=gcomm://${others.map(({ group }) => `127.0.0.1:${group}`).join(',')}`,
    `--wsrep-node-address=127.0.0.1:${own.group}`,
    `--wsrep-provider-options=${Object.entries(options)
      .map(([name, value]) => `${name}=${value}`)
      .join(';')}`,
    '--wsrep-sst-method=rsync',
    `--wsrep-sst-receive-address=127.0.0.1:${own.copy}`,
    // A read waits for what others have committed before it: nobody finds less than they were told is kept.
    '--wsrep-sync-wait=3',
    '--innodb-autoinc-lock-mode=2',
    ...(position ? [`--wsrep-start-position=${position.uuid}:${position.seqno}`] : []),
  ];
}

/**
 * Which of the cluster’s writes is the last a node has, after it was killed too.
 * @returns null before its first
 * @throws where the node does not say: another might go first in its place, and what it alone has be lost
 */
async function positionOf(folder) {
  const data = join(folder, 'data');
  if (!existsSync(join(data, 'ibdata1'))) return null;
  const user = await unprivileged([folder]);
  const { out } = await capture('setpriv', [
    ...(user ? asUser(user) : []),
    '--pdeathsig=KILL',
    'mariadbd',
    '--no-defaults',
    ...(user ? [] : ['--user=root']),
    `--datadir=${data}`,
    '--wsrep-recover',
    '--skip-networking',
    `--socket=${join(folder, 'recover.sock')}`,
    `--pid-file=${join(folder, 'recover.pid')}`,
    ...replicates,
    '--wsrep-cluster-address=gcomm://',
  ]);
  const found = /Recovered position:?\s*([0-9a-f-]{36}):(-?\d+)/i.exec(out);
  if (!found) throw new Error(`${folder} does not say how far it has come:\n${out.slice(-1000)}`);
  return Number(found[2]) >= 0 ? { uuid: found[1], seqno: Number(found[2]) } : null;
}

const isUp = (node) => {
  const { exitCode, signalCode } = node?.now().child ?? { exitCode: 0 };
  return exitCode === null && signalCode === null;
};

/** Makes a node the first of a cluster of which none runs: it has the most there is, however it ended. */
async function letFirst(folder) {
  const path = join(folder, 'data', 'grastate.dat');
  const state = await readFile(path, 'utf8').catch(() => '');
  if (state !== '')
    await writeFile(path, state.replace('safe_to_bootstrap: 0', 'safe_to_bootstrap: 1'));
}

/**
 * Starts the nodes, each in FOLDER/node-N, and keeps them up: a node that ends joins the others again, and takes
 * what it missed; one that is up and out of its group is started again. After all have ended, the one with the
 * most goes first.
 * @param {{ count?: number, onUp?: () => void }} options onUp: one has come back
 * @returns {Promise<{ nodes: { now: () => { pid: number, port: number }, stop: () => Promise<void> }[], hosts: string[], password: string, stop: () => Promise<void> }>}
 */
export async function startCluster(folder, { count = 3, onUp = () => undefined } = {}) {
  const folders = Array.from({ length: count }, (_, i) => join(folder, `node-${i + 1}`));
  const ports = [];
  for (const one of folders) {
    await mkdir(one, { recursive: true });
    ports.push(await freePorts());
  }
  await Promise.all(folders.map(stopLeftBehind));
  const had = await Promise.all(folders.map(positionOf));
  const most = had.reduce(
    (best, one, i) => ((one?.seqno ?? -1) > (had[best]?.seqno ?? -1) ? i : best),
    0,
  );
  // None runs: who was together before is of no use to them.
  await Promise.all(folders.map((one) => rm(join(one, 'data', 'gvwstate.dat'), { force: true })));

  const nodes = [];
  /** The last write of a node that is down; undefined while it is up. */
  const left = had.map((one) => one?.seqno);
  const goesNext = folders.map((_, i) => i === most);
  const begin = (i) => {
    const others = ports.filter((_, n) => n !== i);
    return keepUp({
      name: `Node ${i + 1}`,
      firstDelayMs: BACK_AFTER_MS,
      onUp,
      start: async () => {
        const live = nodes.filter((node, n) => n !== i && isUp(node));
        // Whoever has met in the meantime is joined, not left beside another first.
        const met = await Promise.all(live.map((node) => statusOf(node.now())));
        const goesFirst = goesNext[i] && !met.some((status) => status?.isIn);
        goesNext[i] = false;
        const position = await positionOf(folders[i]);
        left[i] = position?.seqno ?? -1;
        if (goesFirst) await letFirst(folders[i]);
        // With others to join it is a new one to them; where none is left, all meet again as who they were.
        if (live.length > 0) await rm(join(folders[i], 'data', 'gvwstate.dat'), { force: true });
        const started = await startMariadb(folders[i], {
          port: ports[i].sql,
          joins: !goesFirst,
          words: [
            ...nodeWords(ports[i], goesFirst ? [] : others, position),
            ...(goesFirst ? ['--wsrep-new-cluster'] : []),
          ],
        });
        left[i] = undefined;
        return started;
      },
    });
  };
  nodes[most] = await begin(most);
  const secret = join(folders[most], 'password');
  await Promise.all(
    folders.map(async (one, i) => {
      if (i === most) return;
      // The users are the first one’s too.
      await copyFile(secret, join(one, 'password'));
      nodes[i] = await begin(i);
    }),
  );
  const watch = regroup(
    nodes.map((node, i) => ({
      now: () => (isUp(node) ? node.now() : null),
      again: node.replace,
      goFirst: () => (goesNext[i] = true),
      left: () => left[i],
    })),
  );
  return {
    nodes,
    hosts: nodes.map((node) => `127.0.0.1:${node.now().port}`),
    password: (await readFile(secret, 'utf8')).trim(),
    stop: async () => {
      await watch.stop();
      for (const node of nodes.toReversed()) await node.stop();
    },
  };
}

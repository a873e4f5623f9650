/**
 * Brings nodes together again that do not find each other by themselves: a node that stood still for too long
 * gives up its group and stays up without it; of two that are left of three, the one that remains when the other
 * is killed may not go on alone. (MariaDB documentation, “Galera Cluster”: wsrep_cluster_status, pc.bootstrap,
 * “Resetting the quorum”.)
 */
import { createConnection } from 'mysql2/promise';

/** Nodes find each other within this by themselves, or not at all. */
const OUT_MS = 15_000;
const LOOK_MS = 3000;

/** Asks a node about its cluster as root, whom no rule of the cluster holds up; null where it does not answer. */
export async function asRoot({ socket, password }, sql) {
  let connection;
  try {
    connection = await createConnection({
      socketPath: socket,
      user: 'root',
      password,
      connectTimeout: 2000,
    });
    return (await connection.query({ sql, timeout: 2000 }))[0];
  } catch {
    return null;
  } finally {
    connection?.destroy();
  }
}

const STATUS = `SHOW GLOBAL STATUS WHERE Variable_name IN ('wsrep_cluster_status', 'wsrep_connected', 'wsrep_last_committed')`;

/** Whether a node is in the group that writes, and its last write; null where it does not answer. */
export async function statusOf(node) {
  const rows = await asRoot(node, STATUS);
  if (rows === null) return null;
  const values = new Map(rows.map((row) => [row.Variable_name, row.Value]));
  return {
    isIn:
      values.get('wsrep_connected') === 'ON' && values.get('wsrep_cluster_status') === 'Primary',
    seqno: Number(values.get('wsrep_last_committed') ?? -1),
  };
}

/**
 * What is to be done about nodes of which some are out of their group.
 * @param {readonly ({ isIn: boolean, seqno: number } | null)[]} statuses null: the node does not answer
 * @param {readonly (number | undefined)[]} left the last write of a node that is down; undefined where it is not known
 * @returns {{ again: number[] } | { first: number, isUp: boolean } | null} again: to be started anew, to join the others; first: goes
 *   first, for none is in, and it has the most; null: nothing, or nothing yet
 */
export function remedyFor(statuses, left) {
  if (statuses.some((status) => status?.isIn)) {
    const again = statuses.flatMap((status, i) => (status && !status.isIn ? [i] : []));
    return again.length > 0 ? { again } : null;
  }
  const seqnos = statuses.map((status, i) => status?.seqno ?? left[i]);
  // Where one does not say how far it is, another might go first without what it alone has.
  if (seqnos.includes(undefined)) return null;
  const most = Math.max(...seqnos);
  // One that is up goes on at once; one that is down has a start before it.
  const up = seqnos.findIndex((seqno, i) => seqno === most && statuses[i] !== null);
  return { first: up >= 0 ? up : seqnos.indexOf(most), isUp: up >= 0 };
}

/**
 * Looks after nodes until it is told to stop.
 * @param {{ now: () => { socket: string, password: string } | null, again: () => void, goFirst: () => void, left: () => number | undefined }[]} nodes
 *   now: null while it is down; again: ends it so that it starts anew; goFirst: its next start begins the group
 */
export function regroup(nodes, say = console.error) {
  let outSince = null;
  let looking = Promise.resolve();
  const look = async () => {
    const running = nodes.map((node) => node.now());
    const statuses = await Promise.all(running.map((node) => node && statusOf(node)));
    if (statuses.every((status) => status === null || status.isIn) && statuses.some(Boolean)) {
      outSince = null;
      return;
    }
    outSince ??= Date.now();
    if (Date.now() - outSince < OUT_MS) return;
    const remedy = remedyFor(
      statuses,
      nodes.map((node) => node.left()),
    );
    if (remedy === null) return;
    outSince = null;
    if ('again' in remedy)
      for (const i of remedy.again) {
        say(`Node ${i + 1} is up and out of its group: it is started again.`);
        nodes[i].again();
      }
    else {
      say(
        `No node is in a group any more: node ${remedy.first + 1}, which has the most, goes first.`,
      );
      if (remedy.isUp)
        await asRoot(
          running[remedy.first],
          `SET GLOBAL wsrep_provider_options = 'pc.bootstrap=YES'`,
        );
      else nodes[remedy.first].goFirst();
    }
  };
  const timer = setInterval(() => {
    looking = looking.then(look).catch((error) => say(error.message));
  }, LOOK_MS);
  return {
    stop: async () => {
      clearInterval(timer);
      await looking;
    },
  };
}

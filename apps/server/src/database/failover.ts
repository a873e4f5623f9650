import { Socket } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import type { DatabaseAddress, DatabaseNode } from './databaseAddress';

/** A node is asked so often how it is while connections go to it. */
const LOOK_MS = 500;
/** A node that says nothing for so long, so often, has stopped: what waits for it goes elsewhere. */
const ANSWER_MS = 1000;
const SILENT_LOOKS = 2;

/**
 * ready: alone, or in the cluster’s primary component and synced; lagging: ready, while it gives another node a copy;
 * away: refuses or has left the cluster (wsrep_ready OFF); silent: says nothing.
 * MariaDB documentation, “Galera Cluster Status Variables”: wsrep_local_state 4 is Synced.
 */
export type NodeState = 'ready' | 'lagging' | 'away' | 'silent';

const SYNCED = '4';

type NamedValue = RowDataPacket & { readonly Variable_name: string; readonly Value: string };

export async function stateOf(
  { user, password, database }: DatabaseAddress,
  { host, port }: DatabaseNode,
): Promise<NodeState> {
  const late = sleep(ANSWER_MS, 'silent' as const, { ref: false });
  const asked = (async (): Promise<NodeState> => {
    const connection = await createConnection({
      ...{ host, port, user, password, database },
      connectTimeout: ANSWER_MS,
    });
    // Told by how the question ends.
    connection.on('error', () => undefined);
    void late.then(() => {
      connection.destroy();
    });
    try {
      const read = async (
        what: 'VARIABLES' | 'STATUS',
        names: string,
      ): Promise<Map<string, string>> => {
        const sql = `SHOW GLOBAL ${what} WHERE Variable_name IN (${names})`;
        const [rows] = await connection.query<NamedValue[]>(sql);
        return new Map(rows.map(({ Variable_name, Value }) => [Variable_name, Value]));
      };
      const isOfCluster = (await read('VARIABLES', "'wsrep_on'")).get('wsrep_on') === 'ON';
      if (!isOfCluster) return 'ready';
      const said = await read('STATUS', "'wsrep_ready', 'wsrep_local_state'");
      if (said.get('wsrep_ready') !== 'ON') return 'away';
      return said.get('wsrep_local_state') === SYNCED ? 'ready' : 'lagging';
    } finally {
      connection.destroy();
    }
  })();
  return Promise.race([asked.catch(() => 'away' as const), late]);
}

const isUsable = (state: NodeState | undefined): boolean =>
  state === 'ready' || state === 'lagging';

/** The node that connections go to: the one they go to already, else the first that is ready, else one that lags. */
async function chooseNode(
  address: DatabaseAddress,
  now: DatabaseNode | null,
): Promise<DatabaseNode | null> {
  if (now && isUsable(await stateOf(address, now))) return now;
  const states = await Promise.all(address.nodes.map((node) => stateOf(address, node)));
  const first = (state: NodeState): DatabaseNode | undefined =>
    address.nodes.find((_, i) => states[i] === state);
  return first('ready') ?? first('lagging') ?? null;
}

/** One node that answers now. @throws where none does */
export async function answeringNode(address: DatabaseAddress): Promise<DatabaseNode> {
  const { nodes } = address;
  const node = nodes.length > 1 ? await chooseNode(address, null) : nodes[0];
  if (node) return node;
  throw Object.assign(new Error(`none of ${nodes.map(nameOf).join(', ')} answers`), {
    code: 'ECONNREFUSED',
  });
}

export const nameOf = ({ host, port }: DatabaseNode): string => `${host}:${port}`;

/**
 * Keeps the connections of a pool on one node of a cluster, and takes them away from one that has stopped or left it:
 * what was under way on it fails as if it had been killed, and the pool connects anew, to another.
 * @returns what the driver takes for each connection: a socket that connects once a node is there
 */
export function openFailover(address: DatabaseAddress, log: (text: string) => void): () => Socket {
  /** Each with the node it goes to; null while one is looked for. */
  const open = new Map<Socket, DatabaseNode | null>();
  let node: DatabaseNode | null = null;
  let lost: DatabaseNode | null = null;
  let choosing: Promise<DatabaseNode | null> | null = null;
  let watching = false;

  const choose = (): Promise<DatabaseNode | null> =>
    (choosing ??= chooseNode(address, node)
      .then((chosen) => {
        const left = node ?? lost;
        if (left && chosen && chosen !== left)
          log(`The database ${nameOf(left)} does not answer; ${nameOf(chosen)} is used.`);
        node = chosen;
        lost = chosen ? null : left;
        return chosen;
      })
      .finally(() => {
        choosing = null;
      }));

  /** Until nothing is open any more. */
  async function watch(): Promise<void> {
    if (watching) return;
    watching = true;
    let silent = 0;
    while (open.size > 0) {
      await sleep(LOOK_MS, undefined, { ref: false });
      if (!node) continue;
      const watched = node;
      const state = await stateOf(address, watched);
      silent = state === 'silent' ? silent + 1 : 0;
      if (isUsable(state) || (state === 'silent' && silent < SILENT_LOOKS)) continue;
      [node, lost] = [null, watched];
      const error = Object.assign(new Error(`${nameOf(watched)} is ${state}`), {
        code: 'ECONNRESET',
      });
      for (const [socket, to] of open) if (to === watched) socket.destroy(error);
    }
    watching = false;
  }

  return () => {
    const socket = new Socket();
    socket.setNoDelay(true).setKeepAlive(true);
    open.set(socket, null);
    socket.once('close', () => open.delete(socket));
    void (async () => {
      for (;;) {
        const chosen = await choose();
        if (socket.destroyed) return;
        if (chosen) {
          open.set(socket, chosen);
          socket.connect(chosen.port, chosen.host);
          return;
        }
        // The driver gives a connection up that takes too long.
        await sleep(LOOK_MS, undefined, { ref: false });
      }
    })();
    void watch();
    return socket;
  };
}

import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import type { DataSource } from 'typeorm';
import { besideUrl, databaseAddress } from './databaseAddress';
import { createDataSource } from './dataSource';
import { isDatabaseDown } from './databaseErrors';
import { answeringNode, stateOf } from './failover';

const url = process.env.NUCLEON_TEST_DB ?? '';

/** A way to the tests’ database that can be shut, or fall silent, as a node of a cluster would. */
class Node {
  private readonly sockets = new Set<Socket>();
  private isSilent = false;
  at = '';
  private constructor(private readonly server: Server) {}

  static async open(): Promise<Node> {
    const [{ host, port }] = databaseAddress(url).nodes;
    const node = new Node(
      createServer((from) => {
        const to = connect(port, host);
        for (const socket of [from, to])
          node.sockets.add(socket.on('error', () => undefined).setNoDelay(true));
        from.pipe(to).pipe(from);
        if (node.isSilent) node.silence();
      }),
    );
    await new Promise<void>((done) => node.server.listen(0, '127.0.0.1', done));
    node.at = `127.0.0.1:${(node.server.address() as AddressInfo).port}`;
    return node;
  }

  silence(): void {
    this.isSilent = true;
    for (const socket of this.sockets) socket.unpipe().pause();
  }
  close(): void {
    this.server.close();
    for (const socket of this.sockets) socket.destroy();
  }
}

const through = (...hosts: readonly string[]): string =>
  url.replace(/@[^/]+/, `@${hosts.join(',')}`);

let nodes: [Node, Node];
let source: DataSource;
const said: string[] = [];
beforeEach(async () => {
  nodes = [await Node.open(), await Node.open()];
  source = createDataSource(through(nodes[0].at, nodes[1].at), { log: (text) => said.push(text) });
  await source.initialize();
});
afterEach(async () => {
  await source.destroy();
  for (const node of nodes) node.close();
});

/** When a question is answered again; how often it was not. */
async function comesBack(): Promise<number> {
  for (let failed = 0; ; failed++) {
    const answer: unknown = await source.query('SELECT 42 AS a').catch((error: unknown) => error);
    if (Array.isArray(answer)) return failed;
    expect(isDatabaseDown(answer)).toBe(true);
  }
}

it('goes to the next node when the first is gone, and stays there', async () => {
  expect(await comesBack()).toBe(0);
  nodes[0].close();
  expect(await comesBack()).toBeLessThan(10);
  expect(said.at(-1)).toBe(`The database ${nodes[0].at} does not answer; ${nodes[1].at} is used.`);
});

it('leaves a node that says nothing: what waits for it is given up', async () => {
  const waits = source.query('SELECT SLEEP(60)').catch((error: unknown) => error);
  nodes[0].silence();
  expect(isDatabaseDown(await waits)).toBe(true);
  expect(await comesBack()).toBeLessThan(10);
});

it('waits for a node where none answers, and says so in time', async () => {
  for (const node of nodes) node.close();
  await expect(answeringNode(databaseAddress(through(nodes[0].at, nodes[1].at)))).rejects.toThrow(
    `none of ${nodes[0].at}, ${nodes[1].at} answers`,
  );
  const answer: unknown = await source.query('SELECT 1').catch((error: unknown) => error);
  expect(isDatabaseDown(answer)).toBe(true);
});

it('takes a server that is in no cluster for ready, and one that refuses for away', async () => {
  const address = databaseAddress(url);
  expect(await stateOf(address, address.nodes[0])).toBe('ready');
  expect(await stateOf({ ...address, password: 'other' }, address.nodes[0])).toBe('away');
});

it('reads one host or several, and names the one it cannot', () => {
  expect(databaseAddress('mysql://u%40:p%2F@a:1,b,[::1]:3/db')).toEqual({
    user: 'u@',
    password: 'p/',
    nodes: [
      { host: 'a', port: 1 },
      { host: 'b', port: 3306 },
      { host: '::1', port: 3 },
    ],
    database: 'db',
  });
  for (const [wrong, named] of [
    ['mysql://u:secret@a,b:x/db', 'b:x'],
    ['nonsense', ''],
    ['mysql://u:secret@a,/db', ''],
  ] as const) {
    const read = (): unknown => databaseAddress(wrong);
    expect(read).toThrow(`names the host “${named}”`);
    expect(read).not.toThrow('secret');
  }
  expect(besideUrl('mysql://u:p@a,b/db', 'other')).toBe('mysql://u:p@a,b/other');
});

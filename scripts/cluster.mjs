#!/usr/bin/env node
/** npm run cluster: one database on three nodes and two servers of it, all on this machine: for trying how they replace each other. */
import { mkdir } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { startCluster } from './cluster/galera.mjs';
import { keepUp } from './setup/keepUp.mjs';
import { takeFolder } from './setup/lock.mjs';
import { checkNode, ensureDebianPackages, ensureNpmPackages, MARIADB } from './setup/packages.mjs';
import { ROOT } from './setup/root.mjs';
import { startServer } from './setup/server.mjs';
import { ensureWebBuild, WEB_FOLDER } from './setup/web.mjs';

const USAGE = `npm run cluster -- [--port N] [--empty] [--data DIR]

  --port N    the first server is on this port, the second on the next (default 4180)
  --empty     do not load the demo data into an empty database
  --data DIR  keep the nodes’ folders here (default .cluster)`;

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4180' },
    empty: { type: 'boolean', default: false },
    data: { type: 'string', default: join(ROOT, '.cluster') },
    help: { type: 'boolean', default: false },
  },
});
const port = Number(values.port);

/** What has been started, undone last first. */
const started = [];
let stopping;
const stopAll = () =>
  (stopping ??= (async () => {
    for (const stop of started.toReversed()) await stop().catch((error) => console.error(error));
  })());

/** Each server prefers another node: both write, and nothing waits on one of them alone. */
const urlFor = ({ hosts, password }, i) =>
  `mysql://nucleon:${password}@${[...hosts.slice(i), ...hosts.slice(0, i)].join(',')}/nucleon`;

async function main() {
  if (values.help) return console.log(USAGE);
  if (!Number.isInteger(port) || port < 1 || port > 65534)
    throw new Error(`--port is “${values.port}”; it must be a whole number from 1 to 65534.`);
  checkNode();
  const data = resolve(values.data);
  const lock = await takeFolder(data);
  started.push(() => lock.release());
  await ensureNpmPackages();
  await ensureDebianPackages(MARIADB);
  await ensureWebBuild();
  if (stopping) return;
  const servers = [];
  let note = () => undefined;
  const cluster = await startCluster(data, { onUp: () => void note() });
  started.push(cluster.stop);
  // The second finds the tables made.
  for (let i = 0; i < 2 && !stopping; i++) {
    await mkdir(join(data, 'backups'), { recursive: true });
    const server = await keepUp({
      name: `Server ${i + 1}`,
      start: () =>
        startServer({
          databaseUrl: urlFor(cluster, i),
          port: port + i,
          web: WEB_FOLDER,
          demo: values.empty ? 'none' : 'load',
          // One of them makes the nightly copy.
          backups: i === 0 ? join(data, 'backups') : undefined,
        }),
      onUp: () => void note(),
    });
    started.push(server.stop);
    servers.push(server);
  }
  const written = () =>
    lock.note({
      address: servers[0].now().address,
      servers: servers.map((server) => ({
        address: server.now().address,
        pid: server.now().child.pid,
      })),
      nodes: cluster.nodes.map((node) => ({ port: node.now().port, pid: node.now().pid })),
    });
  await written();
  // Two that come back at once write beside each other: the next tells the rest.
  note = () => written().catch((error) => console.error(error.message));
  console.log(
    `The nodes are at ${cluster.hosts.join(', ')}.\nNucleon is at ${servers.map((server) => server.now().address).join(' and ')}  (Ctrl-C stops it)`,
  );
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => void stopAll().then(() => process.exit(0)));
main().catch(async (error) => {
  console.error(error.message);
  await stopAll();
  process.exit(1);
});

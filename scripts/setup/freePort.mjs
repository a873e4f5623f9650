import { readFile } from 'node:fs/promises';
import { createServer } from 'node:net';

const LOWEST = 20_000;
const TRIES = 200;
/** Where the kernel says nothing: the first of what Linux gives. */
const FIRST_OUTGOING = 32_768;
const given = new Set();

const isFree = (port) =>
  new Promise((done) => {
    const probe = createServer();
    probe.on('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });

/** The first port an outgoing connection may be given (Linux, ip_local_port_range). */
async function firstOutgoing() {
  const range = await readFile('/proc/sys/net/ipv4/ip_local_port_range', 'utf8').catch(() => '');
  return Number.parseInt(range, 10) || FIRST_OUTGOING;
}

/**
 * A port nobody listens on: the wanted one where it is free. Else one below those that outgoing connections are given,
 * so that none takes it before it is listened on, nor while its server is down. It is even: the one after it is free
 * for a second server.
 */
export async function freePort(wanted = 0) {
  if (wanted !== 0 && (await isFree(wanted))) return wanted;
  const pairs = Math.max(1, Math.floor(((await firstOutgoing()) - LOWEST) / 2));
  for (let i = 0; i < TRIES; i++) {
    const port = LOWEST + 2 * Math.floor(Math.random() * pairs);
    if (given.has(port) || !(await isFree(port))) continue;
    given.add(port);
    return port;
  }
  throw new Error(`Of ${TRIES} ports from ${LOWEST} none is free.`);
}

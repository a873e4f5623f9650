import { readFile } from 'node:fs/promises';
import { createServer } from 'node:net';

const LOWEST = 20_000;
const TRIES = 200;
/** The first port Linux gives to outgoing connections unless it is told otherwise. */
const USUAL_FIRST_OUTGOING = 32_768;
/** Fewer below it are too few to choose from. */
const MIN_ROOM = 1000;
const given = new Set();

const isFree = (port) =>
  new Promise((done) => {
    const probe = createServer();
    probe.on('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });

/** Where ports end that no outgoing connection is given (Linux, ip_local_port_range); where it begins too low, the usual. */
export async function lastToChoose(
  read = () => readFile('/proc/sys/net/ipv4/ip_local_port_range', 'utf8'),
) {
  const first = Number.parseInt(await read().catch(() => ''), 10);
  return first >= LOWEST + MIN_ROOM ? first : USUAL_FIRST_OUTGOING;
}

/**
 * A port nobody listens on: the wanted one where it is free. Else one below those that outgoing connections are given,
 * so that none takes it before it is listened on, nor while its server is down. It is even: the one after it is
 * given to nobody, for a second server.
 */
export async function freePort(wanted = 0) {
  if (wanted !== 0 && (await isFree(wanted))) return wanted;
  const pairs = Math.floor(((await lastToChoose()) - LOWEST) / 2);
  for (let i = 0; i < TRIES; i++) {
    const port = LOWEST + 2 * Math.floor(Math.random() * pairs);
    if (given.has(port)) continue;
    // Before it is tried: others may ask meanwhile.
    given.add(port);
    if (await isFree(port)) return port;
  }
  throw new Error(`Of ${TRIES} ports from ${LOWEST} none is free.`);
}

import { createServer as createPlain, type Server as PlainServer } from 'node:http';
import { createServer as createTls } from 'node:https';
import type { AddressInfo, Server } from 'node:net';
import type { Express } from 'express';
import type { ServerConfig } from '../config';
import { LOOPBACK_DOORS, LOOPBACK_NAMES, namesAs, type Doors } from '../http/doors';
import { inUrl, isEveryAddress, ownNames } from './addresses';
import { fingerprintOf, serverCertificate, type ServerCertificate } from './authority';
import { oneDoor } from './oneDoor';
import { trustPage } from './trustPage';

/** Callers that wait at the door while the server plans; the system turns the next away for a second or three. */
const BACKLOG = 4096;
/** A head is a few lines; a body over a weak signal takes what it takes, but not a quarter of an hour. */
const PATIENCE = {
  headersTimeout: 15_000,
  requestTimeout: 180_000,
  connectionsCheckingInterval: 5000,
};
/** Addresses change with the router’s mood, and certificates run out. */
const LOOKED_AT_EACH_MS = 10 * 60 * 1000;
const HTTPS_PORT = 443;

/** A server on its port. */
export interface Listening {
  /** As it is printed, and opened. */
  readonly address: string;
  /** What answers requests, to be closed with what is under way in mind. */
  readonly servers: readonly PlainServer[];
  /** Takes nobody new from here on. @returns when the last has gone */
  readonly close: () => Promise<void>;
}

/** How the server is reached: known before anything listens. */
export interface ReachOpened {
  readonly doors: Doors;
  readonly listen: (app: Express) => Promise<Listening>;
}

/** @param host undefined for all addresses, of both families where there are two */
function listenOn(server: Server, port: number, host: string | undefined): Promise<number> {
  return new Promise((resolve, reject) => {
    server.once('error', (error) => {
      reject(new Error(`Cannot listen on ${host ?? 'any address'}:${port}: ${error.message}.`));
    });
    server.listen({ port, ...(host === undefined ? {} : { host }), backlog: BACKLOG }, () => {
      resolve((server.address() as AddressInfo).port);
    });
  });
}

const closed = (server: Server): Promise<void> =>
  new Promise((resolve) => {
    server.close(() => {
      resolve();
    });
  });

/** Plain HTTP: on the loopback, or behind a proxy. */
const plainly =
  ({ port, host }: ServerConfig, doors: Doors): ReachOpened['listen'] =>
  async (app) => {
    const server = createPlain(PATIENCE, app);
    const at = await listenOn(server, port, host);
    return {
      address: doors.reach().addresses[0] ?? `http://${inUrl(host)}:${at}`,
      servers: [server],
      close: () => closed(server),
    };
  };

function behindProxy(config: ServerConfig, proxy: URL): ReachOpened {
  const port = proxy.port === '' ? HTTPS_PORT : Number(proxy.port);
  const fromOutside = namesAs(() => new Set([proxy.hostname]), HTTPS_PORT, port);
  const { isOwn } = LOOPBACK_DOORS;
  const reach = {
    open: true,
    addresses: [proxy.origin],
    trustAddress: null,
    fingerprint: null,
  };
  const doors: Doors = {
    signsIn: true,
    behindProxy: true,
    // The machine itself asks how it is; it signs in like everyone.
    isOwn: (authority, local) => fromOutside(authority, local) || isOwn(authority, local),
    reach: () => reach,
  };
  return { doors, listen: plainly(config, doors) };
}

/** TLS on this machine’s own addresses, with a certificate of the workshop’s own authority. */
async function openly(
  config: ServerConfig,
  folder: string,
  now: () => Date,
  log: (text: string) => void,
): Promise<ReachOpened> {
  let own = ownNames(config.host);
  const known = (): ReadonlySet<string> =>
    new Set([...LOOPBACK_NAMES, ...own.names, ...own.addresses.map(inUrl)]);
  let certificate: ServerCertificate = await serverCertificate(folder, own, now());
  let port = config.port;
  const isName = !isEveryAddress(config.host) && !own.addresses.includes(config.host);
  /** A name that was asked for comes first; else the addresses, which every phone finds. */
  const hosts = (): readonly string[] =>
    isName ? [...own.names, ...own.addresses] : [...own.addresses, ...own.names];
  const doors: Doors = {
    signsIn: true,
    behindProxy: false,
    isOwn: namesAs(known, HTTPS_PORT),
    reach: () => ({
      open: true,
      addresses: hosts().map((host) => `https://${inUrl(host)}:${port}`),
      trustAddress: `http://${inUrl(hosts()[0] ?? 'localhost')}:${port}/`,
      fingerprint: fingerprintOf(certificate.authorityPem),
    }),
  };
  const listen: ReachOpened['listen'] = async (app) => {
    const credentials = () => ({ key: certificate.keyPem, cert: certificate.certificatePem });
    const tls = createTls({ ...PATIENCE, ...credentials(), minVersion: 'TLSv1.2' }, app);
    const { authorityPem } = certificate;
    const appAddress = (host: string): string =>
      doors.isOwn(host, port) ? `https://${host}/` : `${doors.reach().addresses[0] ?? ''}/`;
    const plain = createPlain(PATIENCE, trustPage({ authorityPem, appAddress }));
    const door = oneDoor(tls, plain);
    port = await listenOn(door, config.port, isName ? undefined : config.host);
    const renewing = setInterval(() => {
      own = ownNames(config.host);
      serverCertificate(folder, own, now())
        .then((renewed) => {
          certificate = renewed;
          tls.setSecureContext(credentials());
        })
        .catch((error: unknown) => {
          log(`The certificate: ${error instanceof Error ? error.message : String(error)}`);
        });
    }, LOOKED_AT_EACH_MS).unref();
    return {
      address: doors.reach().addresses[0] ?? `https://localhost:${port}`,
      servers: [tls, plain],
      close: async () => {
        clearInterval(renewing);
        await closed(door);
      },
    };
  };
  return { doors, listen };
}

/** Loopback alone, TLS on the machine’s own addresses, or behind a proxy: as it was started. */
export async function openReach(
  config: ServerConfig,
  now: () => Date,
  log: (text: string) => void,
): Promise<ReachOpened> {
  const { proxy, authorityFolder } = config;
  if (proxy) return behindProxy(config, proxy);
  if (authorityFolder !== null) return openly(config, authorityFolder, now, log);
  return { doors: LOOPBACK_DOORS, listen: plainly(config, LOOPBACK_DOORS) };
}

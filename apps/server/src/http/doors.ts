import type { Reach } from '@nucleon/contract/people';
import type { Request, RequestHandler } from 'express';
import helmet from 'helmet';
import { Problem } from './problem';

/** The names of its own machine alone. */
export const LOOPBACK_NAMES: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

export const isLoopback = (host: string): boolean => LOOPBACK_NAMES.has(host) || host === '::1';

/** How this server is reached, and by whom. */
export interface Doors {
  /** Whether people sign in: always where another device can come in. */
  readonly signsIn: boolean;
  /** Behind a proxy of the workshop’s own, which says whom it asks for. */
  readonly behindProxy: boolean;
  /** Whether a `host:port` of a request is this very server. */
  readonly isOwn: (authority: string, localPort: number | undefined) => boolean;
  readonly reach: () => Reach;
}

/** @param standardPort what a browser leaves out of an address: 80, or 443 over TLS */
export const namesAs =
  (names: () => ReadonlySet<string>, standardPort: number, port?: number): Doors['isOwn'] =>
  (authority, localPort) => {
    const [, name = '', given = String(standardPort)] =
      /^(.*?)(?::(\d+))?$/.exec(authority.toLowerCase()) ?? [];
    return names().has(name) && Number(given) === (port ?? localPort);
  };

/** Its own machine alone, where nobody has to say who they are. */
export const LOOPBACK_DOORS: Doors = {
  signsIn: false,
  behindProxy: false,
  isOwn: namesAs(() => LOOPBACK_NAMES, 80),
  reach: () => ({ open: false, addresses: [], trustAddress: null, fingerprint: null }),
};

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/** Lets in what was asked of this server by its own page, or by no page at all. */
export const onlyOwnPages =
  ({ isOwn, signsIn }: Doors): RequestHandler =>
  (request: Request, _response, next) => {
    const { host = '', origin } = request.headers;
    const { localPort } = request.socket;
    if (!isOwn(host, localPort))
      throw new Problem(
        'wrong-host',
        `“${host.slice(0, 100)}” is not this server; open it at the address it printed when it started.`,
      );
    // Where people sign in, a page that came without TLS may have been written by anyone on the way.
    const own = signsIn ? /^https:\/\// : /^https?:\/\//;
    const isForeign =
      origin === undefined
        ? request.headers['sec-fetch-site'] === 'cross-site'
        : !own.test(origin) || !isOwn(origin.replace(own, ''), localPort);
    if (isForeign && !READS.has(request.method))
      throw new Problem('foreign-page', 'Another site’s page may not change anything here.');
    next();
  };

/** The page runs its own files alone, is framed by nobody, and guesses no file's kind. */
export const pageRules = ({ behindProxy }: Doors): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'", 'blob:'],
        // The interface writes its styles as it draws.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'", 'data:'],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    frameguard: { action: 'deny' },
    referrerPolicy: { policy: 'no-referrer' },
    // A proxy’s name is asked for over TLS ever after. Of this machine’s own name that would shut whatever else it
    // serves without TLS, and the page by which a phone comes to trust it.
    strictTransportSecurity: behindProxy
      ? { maxAge: 180 * 24 * 3600, includeSubDomains: false }
      : false,
  });

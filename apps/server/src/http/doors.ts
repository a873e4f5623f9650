import type { Request, RequestHandler } from 'express';
import helmet from 'helmet';
import { Problem } from './problem';

/** The only names this server goes by: until people sign in it serves its own machine alone. */
const OWN_NAMES: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

export const isLoopback = (host: string): boolean => OWN_NAMES.has(host) || host === '::1';

/** Whether a `host:port` is this very server: another page's name may lead here, but never reads or writes. */
function isOwn(authority: string, request: Request): boolean {
  const [, name = '', port = '80'] = /^(.*?)(?::(\d+))?$/.exec(authority.toLowerCase()) ?? [];
  return OWN_NAMES.has(name) && Number(port) === request.socket.localPort;
}

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/** Lets in what was asked of this server by its own page, or by no page at all. */
export const onlyOwnPages: RequestHandler = (request, _response, next) => {
  const { host = '', origin } = request.headers;
  if (!isOwn(host, request))
    throw new Problem(
      'wrong-host',
      `“${host.slice(0, 100)}” is not this server; open it at the address it printed when it started.`,
    );
  const isForeign =
    origin === undefined
      ? request.headers['sec-fetch-site'] === 'cross-site'
      : !isOwn(origin.replace(/^https?:\/\//, ''), request);
  if (isForeign && !READS.has(request.method))
    throw new Problem('foreign-page', 'Another site’s page may not change anything here.');
  next();
};

/** The page runs its own files alone, is framed by nobody, and guesses no file's kind. */
export const pageRules: RequestHandler = helmet({
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
  // Served on the loopback without TLS.
  strictTransportSecurity: false,
});

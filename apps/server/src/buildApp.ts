import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import { forwardTo, wholeJobRoutes } from './annex/forward';
import { binRoutes } from './bin/binRoutes';
import { holeRoutes } from './holes/holeRoutes';
import { houseRoutes } from './house/houseRoutes';
import { admission, deadline } from './http/admission';
import { onlyOwnPages, pageRules } from './http/doors';
import { jsonBody } from './http/jsonBody';
import { nothingAt } from './http/problem';
import { problemHandler } from './http/problemHandler';
import { jobRoutes } from './jobs/jobRoutes';
import { kitRoutes } from './kit/kitRoutes';
import { learningRoutes } from './learning/learningRoutes';
import { layoutRoutes } from './layout/layoutRoutes';
import { guard } from './people/guard';
import { makeMeter } from './metrics/metrics';
import { metricsRoutes } from './metrics/metricsRoutes';
import { newsRoutes } from './news/newsRoutes';
import { peopleRoutes } from './people/peopleRoutes';
import { auditRoutes } from './people/auditRoutes';
import { deviceRoutes } from './people/deviceRoutes';
import { invitationRoutes } from './people/invitationRoutes';
import { shareRoutes } from './people/shareRoutes';
import { passkeyRoutes, passkeySignInRoutes } from './people/passkeyRoutes';
import { sessionRoutes } from './people/sessionRoutes';
import { countTries } from './people/tries';
import { photoRoutes } from './photos/photoRoutes';
import { pieceRoutes } from './pieces/pieceRoutes';
import { runPhotoRoutes } from './runs/runPhotoRoutes';
import { runRoutes } from './runs/runRoutes';
import type { ServerContext } from './serverContext';

const BODY_LIMIT = { bytes: 1024 * 1024, values: 200_000 };
/** A piece with thousands of holes. */
const LAYOUT_LIMIT = { bytes: 8 * 1024 * 1024, values: 600_000 };
const LAYOUT_PATH = /^\/api\/v1\/pieces\/[^/]+\/layout$/;
const YEAR_MS = 365 * 24 * 3600 * 1000;

/** The API under /api/v1 and, when a folder is given, the built app for every other address. */
export function buildApp(context: ServerContext, webFolder?: string): Express {
  const app = express();
  app.disable('x-powered-by');
  if (context.doors.behindProxy) app.set('trust proxy', 'loopback, uniquelocal');
  const meter = makeMeter();
  const taken = (): void => {
    context.learning.changed();
    context.newsroom.wake();
  };
  // A stream lasts for hours: it is no request that others wait for, and none that takes too long.
  const butNews =
    (rule: RequestHandler): RequestHandler =>
    (request, response, next) => {
      if (/^\/v1\/news\/?$/i.test(request.path)) next();
      else void rule(request, response, next);
    };
  app.use('/api', butNews(meter.measure), butNews(admission()));
  app.use(pageRules(context.doors));
  app.use('/api', onlyOwnPages(context.doors), butNews(deadline()), guard(context));
  // The lightest level: a phone on the workshop's own network waits for the server, not for the wire.
  app.use(compression({ level: 1 }));
  app.use('/api/v1', wholeJobRoutes(context.source, forwardTo(context.annex.socket, taken)));
  app.use(LAYOUT_PATH, jsonBody(LAYOUT_LIMIT));
  app.use('/api', jsonBody(BODY_LIMIT));

  // What goes wrong counts together, with a password or a key.
  const tried = countTries();
  app.get('/api/v1/health', async (_request, response) => {
    await context.source.query('SELECT 1');
    response.json({ status: 'ok' });
  });
  app.use(
    '/api/v1',
    jobRoutes(context),
    pieceRoutes(context),
    holeRoutes(context),
    layoutRoutes(context),
    binRoutes(context),
    photoRoutes(context),
    houseRoutes(context),
    kitRoutes(context),
    runRoutes(context),
    runPhotoRoutes(context),
    learningRoutes(context),
    sessionRoutes(context, tried),
    invitationRoutes(context),
    shareRoutes(context),
    deviceRoutes(context, tried),
    passkeyRoutes(context, tried),
    passkeySignInRoutes(context, tried),
    peopleRoutes(context),
    auditRoutes(context),
    metricsRoutes(context, meter),
    newsRoutes(context),
  );
  app.use('/api', (request) => {
    throw nothingAt(request);
  });
  if (webFolder && existsSync(webFolder)) serveWeb(app, webFolder);
  app.use(problemHandler(context.log));
  return app;
}

/** Hashed assets are kept for good; the page itself is asked for anew each time. */
function serveWeb(app: Express, folder: string): void {
  app.use('/_expo', express.static(join(folder, '_expo'), { immutable: true, maxAge: YEAR_MS }));
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: YEAR_MS }));
  // The service worker is asked for anew each time: it alone says what is new.
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.get('/{*any}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}

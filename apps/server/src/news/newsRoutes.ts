import type { News } from '@nucleon/contract/wire';
import { Router, type Request, type Response } from 'express';
import { workshopNow } from '../database/workshop';
import { Problem } from '../http/problem';
import { findAsker } from '../people/findAsker';
import { askingNow, type Asker } from '../people/asking';
import { sessionTokenOf } from '../people/sessionCookie';
import type { ServerContext } from '../serverContext';

/** Proxies and phones let go of a line nothing is said on; and whoever was signed out is found by then. */
const BEAT_MS = 20_000;
const MAX_LISTENERS = 400;
/** A page asks again so soon when the line breaks. */
const RETRY_MS = 2000;

/** A link to one job hears of that job alone. */
const mayHear = (asker: Asker | null, { kind, id }: News): boolean =>
  asker?.kind !== 'share' || (kind === 'job' && id === asker.jobId);

/** What changes, told as it does, an empty list first: one stream of server-sent events a page (HTML, 9.2). */
export function newsRoutes({ source, now, doors, newsroom }: ServerContext): Router {
  const router = Router();
  const open = new Set<Response>();
  newsroom.onClose(() => {
    for (const response of open) response.end();
  });
  router.get('/news', (request: Request, response: Response) => {
    if (open.size >= MAX_LISTENERS)
      throw new Problem('busy', 'Too many listen at once; this page asks by itself.');
    const asker = askingNow()?.asker ?? null;
    response.set({
      'Content-Type': 'text/event-stream',
      // Nothing on the way holds it back, packs it or keeps it.
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    response.write(`retry: ${RETRY_MS}\n\n`);
    open.add(response);
    const stop = newsroom.listen(workshopNow(), (news) => {
      const own = news.filter((one) => mayHear(asker, one));
      if (own.length > 0 || news.length === 0) response.write(`data: ${JSON.stringify(own)}\n\n`);
    });
    const token = sessionTokenOf(request);
    const beat = setInterval(() => {
      response.write(': still here\n\n');
      if (!doors.signsIn) return;
      findAsker(source.manager, token, now(), false)
        .then((still) => {
          if (!still || (still.kind === 'person' && still.locked)) response.end();
        })
        .catch(() => response.end());
    }, BEAT_MS);
    response.once('close', () => {
      clearInterval(beat);
      stop();
      open.delete(response);
    });
  });
  return router;
}

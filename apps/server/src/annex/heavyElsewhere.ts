import { request as ask, type IncomingMessage } from 'node:http';
import { buffer } from 'node:stream/consumers';
import { deserialize, serialize } from 'node:v8';
import type { ProblemBody } from '@nucleon/contract/wire';
import type { HeavyWork } from '../heavy/heavyWork';
import { THREADS } from '../heavy/sharedWork';
import { Problem } from '../http/problem';
import { HEAVY_PATH } from './annexApp';
import { notThere, type Annex } from './annex';

const answerTo = (socketPath: string, body: Buffer, signal: AbortSignal | undefined) =>
  new Promise<IncomingMessage>((resolve, reject) => {
    ask({ socketPath, method: 'POST', path: HEAVY_PATH, ...(signal ? { signal } : {}) }, resolve)
      .once('error', reject)
      .end(body);
  });

/** Heavy work done by the annex. */
export function heavyElsewhere({ socket, close }: Annex): HeavyWork {
  let open = 0;
  let closed = false;
  return {
    run: async (task, input, gone) => {
      open++;
      try {
        const answer = await answerTo(
          await socket(gone === undefined),
          serialize({ task, input }),
          gone,
        );
        const bytes = await buffer(answer);
        if (answer.statusCode === 200) return deserialize(bytes) as never;
        const { code, detail } = JSON.parse(bytes.toString()) as ProblemBody;
        throw new Problem(code, detail);
      } catch (error) {
        // The server is stopping: nobody waits for it, and nothing went wrong.
        if (closed) return await new Promise<never>(() => undefined);
        // It ended in the middle, and is started again.
        throw error instanceof Problem || gone?.aborted ? error : notThere();
      } finally {
        open--;
      }
    },
    waiting: () => Math.max(0, open - THREADS),
    close: () => {
      closed = true;
      return close();
    },
  };
}

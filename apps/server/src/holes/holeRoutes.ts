import { postCoverage, putHole } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import type { AnswersTaken, HoleDetail, NotPlanned } from '@nucleon/contract/wire';
import { Router } from 'express';
import { transact } from '../database/transact';
import { loadHole, pieceToWrite } from '../documents/loadJob';
import { put } from '../documents/repository';
import { documentOf, SHOWN } from '../documents/shown';
import { checkedBody, idParam } from '../http/body';
import { touchJob } from '../jobs/touchJob';
import { planAfterWrite } from '../plans/planAfterWrite';
import { planOf, riskOf, type Read } from '../plans/readPlan';
import type { ServerContext } from '../serverContext';
import { coverageOf, takeAnswers } from './coverage';

const checkHoleBody = validator(putHole);
const checkCoverageBody = validator(postCoverage);

/** A hole that cannot be planned is read as what is wrong with it. */
const shown = <T>(read: Read<T>): T | NotPlanned =>
  read.kind === 'made' ? read.value : { faults: read.faults };

export function holeRoutes(context: ServerContext): Router {
  const { source, now } = context;
  const router = Router();
  router.get('/holes/:holeId', async (request, response) => {
    const { job, piece, hole } = await loadHole(source.manager, idParam(request, 'holeId'));
    const detail: HoleDetail = {
      job: SHOWN.job(job),
      piece: SHOWN.piece(piece),
      hole: SHOWN.hole(hole),
    };
    response.json(detail);
  });
  router.get('/holes/:holeId/plan', async (request, response) => {
    const bent = request.query.bent === 'true';
    response.json(shown(await planOf(context, idParam(request, 'holeId'), bent)));
  });
  router.get('/holes/:holeId/risk', async (request, response) => {
    response.json(shown(await riskOf(context, idParam(request, 'holeId'))));
  });
  router.get('/holes/:holeId/coverage', async (request, response) => {
    response.json(await coverageOf(context, idParam(request, 'holeId')));
  });
  router.post('/holes/:holeId/coverage', async (request, response) => {
    const body = checkedBody(request, checkCoverageBody);
    const taken: AnswersTaken = {
      taken: await takeAnswers(context, idParam(request, 'holeId'), body),
    };
    response.json(taken);
  });
  router.put('/pieces/:pieceId/holes/:holeId', async (request, response) => {
    const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'holeId')];
    const { version, ...body } = checkedBody(request, checkHoleBody);
    const row = await transact(source, async (manager) => {
      const { job, piece, hole, nextPosition } = await pieceToWrite(manager, pieceId, id);
      const document = documentOf('hole', body);
      const one = { id, parentId: pieceId, version, document, position: nextPosition };
      const written = await put(manager, 'hole', one, now(), hole);
      if (written.changed) {
        await planAfterWrite(manager, { job, pieces: [piece], holes: [written.row] });
        await touchJob(manager, job.id, now());
      }
      return written.row;
    });
    response.json(SHOWN.hole(row));
  });
  return router;
}

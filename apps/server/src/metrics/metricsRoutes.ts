import type { Metrics } from '@nucleon/contract/wire';
import { Router } from 'express';
import type { ServerContext } from '../serverContext';
import { diskOf, newestBackup, type Meter } from './metrics';

/** How the server fares: for whoever keeps it. */
export function metricsRoutes({ heavy, backupFolder }: ServerContext, meter: Meter): Router {
  const router = Router();
  router.get('/metrics', async (_request, response) => {
    const answer: Metrics = {
      upS: process.uptime(),
      latency: meter.latency(),
      heavyWaiting: heavy.waiting(),
      memoryBytes: process.memoryUsage.rss(),
      disk: backupFolder === undefined ? null : await diskOf(`${backupFolder}/..`),
      newestBackupAt: backupFolder === undefined ? null : await newestBackup(backupFolder),
    };
    response.json(answer);
  });
  return router;
}

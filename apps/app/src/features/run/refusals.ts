import type { LogFile } from '../../api/runs';
import { create } from 'zustand';
import { everyWaitingPhoto, keepPhoto } from '../result/keptPhotos';
import type { WaitingPhoto } from './benchDb';
import { keptEvents, keptRunIds } from './keptRuns';
import { useRuns } from './runStore';
import { sendWaiting } from './sendRun';

/** A run of which the server will not have something. */
export interface RefusedRun {
  readonly runId: string;
  readonly count: number;
  readonly why: string;
}

interface Refusals {
  readonly runs: readonly RefusedRun[];
  readonly pictures: readonly WaitingPhoto[];
  /** Reads what the device keeps. */
  readonly look: () => Promise<void>;
  /** Sends all of it once more. */
  readonly tryAgain: () => Promise<void>;
}

/** What the server will not have: it stays on the device until it is taken or saved. */
export const useRefusals = create<Refusals>()((set, get) => ({
  runs: [],
  pictures: [],
  look: async () => {
    const [runs, pictures] = await Promise.all([refusedRuns(), everyWaitingPhoto()]).catch(
      () => [[], []] as const,
    );
    const isOfRefused = ({ runId }: WaitingPhoto): boolean =>
      runs.some((run) => run.runId === runId);
    set({ runs, pictures: pictures.filter((one) => one.refused !== null || isOfRefused(one)) });
  },
  tryAgain: async () => {
    await get().look();
    for (const { runId } of get().runs) {
      await useRuns.getState().load(runId);
      const known = useRuns.getState().known[runId] ?? [];
      const again = known.filter(({ refused }) => refused !== null);
      useRuns.getState().refuse(runId, new Map(again.map(({ event }) => [event.id, null])));
    }
    for (const photo of get().pictures) await keepPhoto({ ...photo, refused: null });
    await sendWaiting().catch(() => undefined);
    await get().look();
  },
}));

async function refusedRuns(): Promise<readonly RefusedRun[]> {
  const all = await Promise.all(
    (await keptRunIds()).map(async (runId) => {
      const why = (await keptEvents(runId)).flatMap(({ refused }) => refused ?? []);
      return { runId, count: why.length, why: why[0] ?? '' };
    }),
  );
  return all.filter(({ count }) => count > 0);
}

/** The whole record of the runs the server will not have, as an open log. */
export async function refusedLog(runs: readonly RefusedRun[]): Promise<LogFile> {
  return {
    format: 'nucleon-log',
    version: 1,
    runs: await Promise.all(
      runs.map(async ({ runId }) => ({
        runId,
        events: (await keptEvents(runId)).map(({ event }) => event).sort((a, b) => a.n - b.n),
      })),
    ),
  };
}

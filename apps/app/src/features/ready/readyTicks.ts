import type { ReadyItem, ReadyKeeps } from '@nucleon/core/words/run/readyCheck';
import { format } from 'date-fns/format';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

interface ReadyTicks {
  /** Ticks by what they hold for: `day.2026-05-04.light`, `job.ID.packing`, `day.2026-05-04.run-of.ID.water`. */
  readonly ticked: Readonly<Record<string, true>>;
  readonly set: (key: string, on: boolean) => void;
  /** A run of the hole begins: the next one is ticked anew. */
  readonly begun: (holeId: string) => void;
}

/** Ticks on this device: the day's, the job's, and those of a hole's next run until it begins. */
export const useReadyTicks = create<ReadyTicks>()(
  persist(
    (set) => ({
      ticked: {},
      set: (key, on) => {
        set(({ ticked }) => {
          const { [key]: _was, ...rest } = ticked;
          return { ticked: on ? { ...fresh(rest), [key]: true } : rest };
        });
      },
      begun: (holeId) => {
        set(({ ticked }) => ({
          ticked: Object.fromEntries(
            Object.entries(ticked).filter(([key]) => !key.includes(`.${runOf(holeId)}.`)),
          ),
        }));
      },
    }),
    { name: 'nucleon.ready', storage: createJSONStorage(() => globalThis.localStorage) },
  ),
);

/** Yesterday's ticks are let go of. */
function fresh(ticked: ReadyTicks['ticked']): Record<string, true> {
  const today = dayKey(new Date());
  return Object.fromEntries(
    Object.entries(ticked).filter(([key]) => !key.startsWith('day.') || key.startsWith(today)),
  );
}

const dayKey = (now: Date): string => `day.${format(now, 'yyyy-MM-dd')}`;

const runOf = (holeId: string): string => `run-of.${holeId}`;

/** Under what name a tick is kept; one for the next run is let go of with its day. */
export function tickKey(
  { keeps, id }: Pick<ReadyItem, 'keeps' | 'id'>,
  { jobId, holeId }: { readonly jobId: string; readonly holeId: string },
  now: Date,
): string {
  const names: Record<ReadyKeeps, string> = {
    day: `${dayKey(now)}.${id}`,
    job: `job.${jobId}.${id}`,
    run: `${dayKey(now)}.${runOf(holeId)}.${id}`,
  };
  return names[keeps];
}

export const packedKey = (jobId: string, itemId: string): string => `job.${jobId}.packed.${itemId}`;

import type { ReadyItem } from '@nucleon/core/words/run/readyCheck';
import { format } from 'date-fns/format';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

interface ReadyTicks {
  /** Ticks by what they hold for: `day.2026-05-04.light`, `job.ID.packing`. */
  readonly ticked: Readonly<Record<string, true>>;
  readonly set: (key: string, on: boolean) => void;
}

/** Ticks that outlast one run: the day's and the job's, on this device. */
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

/** Under what name a tick is kept; null where it is for this run alone. */
export const tickKey = (
  { keeps, id }: Pick<ReadyItem, 'keeps' | 'id'>,
  jobId: string,
  now: Date,
): string | null =>
  keeps === 'day' ? `${dayKey(now)}.${id}` : keeps === 'job' ? `job.${jobId}.${id}` : null;

export const packedKey = (jobId: string, itemId: string): string => `job.${jobId}.packed.${itemId}`;

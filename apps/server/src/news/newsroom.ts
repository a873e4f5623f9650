import type { News } from '@nucleon/contract/wire';
import type { DataSource } from 'typeorm';

/** Other servers of the same database write too: what changed is looked for so often while somebody listens. */
const LOOK_MS = 1000;
/** A write is committed a while after the time it carries, and clocks of two servers differ. */
const OVERLAP_MS = 15_000;

export type Listener = (news: readonly News[]) => void;

/** Tells whoever listens what changed in their workshop. */
export interface Newsroom {
  /**
   * Tells the listener once, of nothing, as soon as it listens.
   * @returns what ends it
   */
  readonly listen: (workshopId: string, listener: Listener) => () => void;
  /** Something was written here: it is told at once. */
  readonly wake: () => void;
  /** Ends every stream: nobody waits at the door of a server that stops. */
  readonly close: () => void;
  readonly onClose: (end: () => void) => void;
}

interface Changed {
  readonly kind: 'job' | 'run';
  readonly id: string;
  readonly at: Date;
}
interface Versions {
  readonly kit: number;
  readonly learned: string | null;
}

/** What was seen of a workshop last, so that each change is told once. */
interface Seen {
  since: Date;
  /** What changed within the overlap, and when. */
  readonly recent: Map<string, number>;
  versions: Versions | null;
}

async function look(
  source: DataSource,
  workshopId: string,
  seen: Seen,
  now: Date,
): Promise<readonly News[]> {
  const changed = await source.query<Changed[]>(
    `SELECT 'job' AS kind, id, updated_at AS at FROM job WHERE workshop_id = ? AND updated_at >= ?
       UNION ALL SELECT 'run', id, updated_at FROM run WHERE workshop_id = ? AND updated_at >= ?`,
    [workshopId, seen.since, workshopId, seen.since],
  );
  const [versions] = await source.query<Versions[]>(
    `SELECT kit_version AS kit, learned.hash AS learned
       FROM workshop LEFT JOIN learned ON learned.id = workshop.id WHERE workshop.id = ?`,
    [workshopId],
  );
  const news: News[] = changed
    .filter(({ kind, id, at }) => seen.recent.get(`${kind} ${id}`) !== at.getTime())
    .map(({ kind, id }) => ({ kind, id }));
  const before = seen.versions;
  if (before && versions && before.kit !== versions.kit) news.push({ kind: 'kit', id: workshopId });
  if (before && versions && before.learned !== versions.learned)
    news.push({ kind: 'learned', id: workshopId });
  const isFirst = before === null;
  seen.versions = versions ?? null;
  seen.since = new Date(now.getTime() - OVERLAP_MS);
  seen.recent.clear();
  for (const { kind, id, at } of changed) seen.recent.set(`${kind} ${id}`, at.getTime());
  // What was there before anybody listened is no news.
  return isFirst ? [] : news;
}

export function openNewsroom(
  source: DataSource,
  now: () => Date,
  log: (text: string) => void,
): Newsroom {
  const rooms = new Map<string, { readonly listeners: Set<Listener>; readonly seen: Seen }>();
  let timer: NodeJS.Timeout | null = null;
  const ends: (() => void)[] = [];
  let looking = false;
  let asked = 0;
  let isAway = false;

  const round = async (): Promise<void> => {
    asked++;
    if (looking) return;
    looking = true;
    // Asked again meanwhile: what was written since may have been missed.
    for (let looked = 0; looked !== asked;) {
      looked = asked;
      for (const [workshopId, { listeners, seen }] of rooms)
        try {
          const isFirst = seen.versions === null;
          const news = await look(source, workshopId, seen, now());
          isAway = false;
          if (isFirst || news.length > 0) for (const listener of listeners) listener(news);
        } catch (error) {
          // Away: what changed meanwhile is found when it is back. It is said once.
          if (!isAway) log(`What changed could not be looked for: ${String(error)}`);
          isAway = true;
        }
    }
    looking = false;
  };
  const stop = (): void => {
    if (timer) clearInterval(timer);
    timer = null;
  };
  return {
    listen: (workshopId, listener) => {
      const since = new Date(now().getTime() - OVERLAP_MS);
      const room = rooms.get(workshopId) ?? {
        listeners: new Set<Listener>(),
        seen: { since, recent: new Map<string, number>(), versions: null },
      };
      rooms.set(workshopId, room);
      room.listeners.add(listener);
      timer ??= setInterval(() => void round(), LOOK_MS).unref();
      if (room.seen.versions) listener([]);
      else void round();
      return () => {
        room.listeners.delete(listener);
        if (room.listeners.size === 0) rooms.delete(workshopId);
        if (rooms.size === 0) stop();
      };
    },
    wake: () => {
      if (rooms.size > 0) void round();
    },
    close: () => {
      stop();
      rooms.clear();
      for (const end of ends) end();
    },
    onClose: (end) => {
      ends.push(end);
    },
  };
}

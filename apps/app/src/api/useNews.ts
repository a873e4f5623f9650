import type { News } from '@nucleon/contract/wire';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { BASE } from './fetchJson';
import { keys } from './keys';
import { heardOfRun } from './runNews';
import { readAnew } from './readAnew';

/** So soon a page asks again where it was refused, as by a server that starts. */
const RETRY_MS = 10_000;

/** What each kind of news makes old. */
const STALE: Readonly<Record<News['kind'], (news: News) => readonly (readonly unknown[])[]>> = {
  job: ({ id }) => [keys.jobs(), keys.bench(), keys.job(id), ['hole'], ['layout'], keys.bin()],
  run: () => [keys.runs(), keys.bench(), keys.job()],
  kit: () => [keys.bits(), keys.machines(), keys.parts(), keys.house(), keys.job(), keys.bench()],
  learned: () => [keys.learning(), keys.job()],
};

function hear(client: QueryClient, all: readonly News[]): void {
  for (const news of all) {
    if (news.kind === 'run') heardOfRun(news.id);
    for (const queryKey of STALE[news.kind](news)) void readAnew(client, { queryKey });
  }
}

/**
 * Hears what others change while the page is looked at: one stream a page, let go of when it is out of sight, since a
 * browser has few to give. What was missed meanwhile is read anew.
 */
export function useNews(isIn: boolean): void {
  const client = useQueryClient();
  useEffect(() => {
    if (!isIn || typeof EventSource === 'undefined') return undefined;
    let stream: EventSource | null = null;
    let opened = false;
    let retry: ReturnType<typeof setTimeout> | undefined;
    const listen = (): void => {
      if (stream || document.visibilityState === 'hidden') return;
      stream = new EventSource(`${BASE}/news`);
      stream.onerror = () => {
        // A line that broke is tried again by the browser; one that was refused is not.
        if (stream?.readyState !== EventSource.CLOSED) return;
        stream = null;
        retry = setTimeout(listen, RETRY_MS);
      };
      stream.onopen = () => {
        // Anything may have changed while nobody listened.
        if (opened) void readAnew(client);
        opened = true;
      };
      stream.onmessage = ({ data }: MessageEvent<string>) => {
        hear(client, JSON.parse(data) as readonly News[]);
      };
    };
    const letGo = (): void => {
      clearTimeout(retry);
      stream?.close();
      stream = null;
    };
    const seen = (): void => {
      if (document.visibilityState === 'hidden') letGo();
      else listen();
    };
    listen();
    document.addEventListener('visibilitychange', seen);
    return () => {
      document.removeEventListener('visibilitychange', seen);
      letGo();
    };
  }, [client, isIn]);
}

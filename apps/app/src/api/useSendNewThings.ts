import type { QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { sendNewThings, useNewThings } from './newThings';
import { useReachable } from './reachable';
import { readAnew } from './readAnew';

const TRY_MS = 15_000;

/** Sends what was made without a server: as the app opens, as the server answers again, and now and then. */
export function useSendNewThings(client: QueryClient): void {
  useEffect(() => {
    const send = (): void => {
      const before = useNewThings.getState().waiting.length;
      if (before === 0) return;
      void sendNewThings().then(() => {
        if (useNewThings.getState().waiting.length < before) void readAnew(client);
      });
    };
    send();
    const timer = setInterval(send, TRY_MS);
    const forget = useReachable.subscribe(({ answered }) => {
      if (answered) send();
    });
    return () => {
      clearInterval(timer);
      forget();
    };
  }, [client]);
}

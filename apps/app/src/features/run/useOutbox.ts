import { useEffect } from 'react';
import { listenForOnline } from './listenForOnline';
import { useRefusals } from './refusals';
import { sendWaiting } from './sendRun';

const TRY_MS = 15_000;

/** Empties what waits as the app opens, when the network is back, and now and then; tells what is refused. */
export function useOutbox(): void {
  useEffect(() => {
    let busy = false;
    const send = (): void => {
      if (busy) return;
      busy = true;
      void sendWaiting()
        .catch(() => undefined)
        .then(() => useRefusals.getState().look())
        .finally(() => {
          busy = false;
        });
    };
    send();
    const timer = setInterval(send, TRY_MS);
    listenForOnline('add', send);
    return () => {
      clearInterval(timer);
      listenForOnline('remove', send);
    };
  }, []);
}

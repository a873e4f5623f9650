import { useEffect } from 'react';
import { putRunPhoto } from '../../api/runs';
import { dropPhoto, everyWaitingPhoto } from '../result/keptPhotos';
import { listenForOnline } from './listenForOnline';
import { sendRun, waitingRunIds } from './sendRun';

const TRY_MS = 15_000;

/** Events and pictures that wait on this device, whichever screen is open: what is refused is told on its own screen. */
export async function sendWaiting(): Promise<void> {
  for (const runId of waitingRunIds()) await sendRun(runId, new Set()).catch(() => 0);
  for (const { runId, photoId, picture } of await everyWaitingPhoto().catch(() => []))
    await putRunPhoto(runId, photoId, picture).then(
      () => dropPhoto(photoId),
      () => undefined,
    );
}

/** Empties what waits as the app opens, when the network is back, and now and then. */
export function useOutbox(): void {
  useEffect(() => {
    let busy = false;
    const send = (): void => {
      if (busy) return;
      busy = true;
      void sendWaiting().finally(() => {
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

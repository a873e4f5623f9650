import { createStore, del, entries, set } from 'idb-keyval';

/** Pictures wait here until the server has them: they are too large for where the events are kept. */
const waiting = () => createStore('nucleon-photos', 'waiting');

export interface WaitingPhoto {
  readonly runId: string;
  readonly photoId: string;
  readonly picture: Blob;
}

export const keepPhoto = (photo: WaitingPhoto): Promise<void> =>
  set(photo.photoId, photo, waiting());
export const dropPhoto = (photoId: string): Promise<void> => del(photoId, waiting());
export async function everyWaitingPhoto(): Promise<readonly WaitingPhoto[]> {
  return (await entries<string, WaitingPhoto>(waiting())).map(([, photo]) => photo);
}
export const waitingPhotos = async (runId: string): Promise<readonly WaitingPhoto[]> =>
  (await everyWaitingPhoto()).filter((photo) => photo.runId === runId);

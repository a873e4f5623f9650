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
export async function waitingPhotos(runId: string): Promise<readonly WaitingPhoto[]> {
  const all = await entries<string, WaitingPhoto>(waiting());
  return all.map(([, photo]) => photo).filter((photo) => photo.runId === runId);
}

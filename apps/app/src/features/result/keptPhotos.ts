import { benchDb, writePhoto, type WaitingPhoto } from '../run/benchDb';

/** Pictures wait on the device until the server has them. */
export const keepPhoto = (photo: WaitingPhoto): Promise<void> => writePhoto(photo.photoId, photo);
export const dropPhoto = (photoId: string): Promise<void> => writePhoto(photoId, null);
export const everyWaitingPhoto = async (): Promise<readonly WaitingPhoto[]> =>
  (await benchDb()).getAll('pictures');
export const waitingPhotos = async (runId: string): Promise<readonly WaitingPhoto[]> =>
  (await everyWaitingPhoto()).filter((photo) => photo.runId === runId);

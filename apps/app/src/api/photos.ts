import { BASE, fetchJson } from './fetchJson';

const photoPath = (pieceId: string, photoId: string): string =>
  `/pieces/${pieceId}/photos/${photoId}`;
export const photoAddress = (pieceId: string, photoId: string): string =>
  `${BASE}${photoPath(pieceId, photoId)}`;

/** A large picture over a slow signal. */
const WITHIN_MS = 60_000;

/** Puts a picture as it is, not as JSON; what the server says of it, where it says anything. */
export const sendPicture = <T>(path: string, picture: Blob): Promise<T> =>
  fetchJson(path, { method: 'PUT', body: picture, withinMs: WITHIN_MS });

/** Stores the picture under a piece’s outline. */
export async function putPhoto(pieceId: string, photoId: string, picture: Blob): Promise<void> {
  await sendPicture(photoPath(pieceId, photoId), picture);
}

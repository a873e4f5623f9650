import { problemOf, Unreachable } from './problem';

export const photoAddress = (pieceId: string, photoId: string): string =>
  `/api/v1/pieces/${pieceId}/photos/${photoId}`;

/** Puts a picture as it is, not as JSON; what the server says of it, where it says anything. */
export async function sendPicture(address: string, picture: Blob): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(address, {
      method: 'PUT',
      headers: { 'content-type': picture.type },
      body: picture,
    });
  } catch {
    throw new Unreachable('server');
  }
  if (response.ok) return response.status === 204 ? null : ((await response.json()) as unknown);
  throw problemOf(await response.json().catch(() => null));
}

/** Stores the picture under a piece’s outline. */
export async function putPhoto(pieceId: string, photoId: string, picture: Blob): Promise<void> {
  await sendPicture(photoAddress(pieceId, photoId), picture);
}

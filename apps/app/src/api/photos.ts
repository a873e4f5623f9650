import { Unreachable } from './problem';

export const photoAddress = (pieceId: string, photoId: string): string =>
  `/api/v1/pieces/${pieceId}/photos/${photoId}`;

/** Stores a picture; it is sent as it is, not as JSON. */
export async function putPhoto(pieceId: string, photoId: string, picture: Blob): Promise<void> {
  let response: Response;
  try {
    response = await fetch(photoAddress(pieceId, photoId), {
      method: 'PUT',
      headers: { 'content-type': picture.type },
      body: picture,
    });
  } catch {
    throw new Unreachable('server');
  }
  if (!response.ok)
    throw new Error(
      response.status === 413
        ? 'The picture is too large; at most 4 MB is kept.'
        : 'The picture was not kept: it must be a JPEG or PNG.',
    );
}

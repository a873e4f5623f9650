/** Where things stand in a job's archive. */
export const jobPath = 'job.nucleon.json';

export type PictureOwner = 'pieces' | 'runs';

const part = (id: string): string => encodeURIComponent(id).replaceAll('.', '%2E');

/** `pictures/runs/RUN/PICTURE.jpg` */
export const picturePath = (
  owner: PictureOwner,
  ownerId: string,
  id: string,
  mime: string,
): string =>
  `pictures/${owner}/${part(ownerId)}/${part(id)}.${mime === 'image/png' ? 'png' : 'jpg'}`;

const FORM = /^pictures\/(pieces|runs)\/([^/]+)\/([^/.]+)\.(?:jpe?g|png|webp)$/;

/** Whose picture a path names; null for any other path. */
export function pictureAt(
  path: string,
): { readonly owner: PictureOwner; readonly ownerId: string; readonly id: string } | null {
  const [, owner, ownerId = '', id = ''] = FORM.exec(path) ?? [];
  if (owner !== 'pieces' && owner !== 'runs') return null;
  try {
    return { owner, ownerId: decodeURIComponent(ownerId), id: decodeURIComponent(id) };
  } catch {
    return null;
  }
}

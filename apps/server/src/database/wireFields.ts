/** Fields of a wire shape that the server keeps itself and never takes from a body. */
export const KEPT_BY_SERVER = [
  'id',
  'version',
  'updatedAt',
  'pieceId',
  'jobId',
  'headline',
  'holes',
  'faults',
] as const;

import type {
  JobWithMaterials,
  StoredBit,
  StoredHole,
  StoredMachine,
  StoredPart,
  StoredPiece,
  Versioned,
} from '@nucleon/contract/wire';
import type { Hole } from '@nucleon/core/documents/hole';
import type { Piece } from '@nucleon/core/documents/piece';
import type { DocumentKind, DocumentRow, Documents, JobDocument } from './documentKinds';

/** Fields of a wire shape that the server keeps itself and never takes from a body or a file. */
const KEPT_BY_SERVER: ReadonlySet<string> = new Set([
  'id',
  'version',
  'updatedAt',
  'pieceId',
  'jobId',
  'headline',
  'lastRun',
  'holes',
  'faults',
]);

/** What of a body or of a file’s thing is its document: all but what is kept beside it. */
export const documentOf = <K extends Exclude<DocumentKind, 'job'>>(
  _kind: K,
  body: object,
): Documents[K] => ownFields(body) as unknown as Documents[K];

/** The same of a job’s header. */
export const headerOf = (body: object): JobDocument['job'] => {
  const { customMaterials: _own, pieces: _pieces, ...header } = ownFields(body);
  return header as unknown as JobDocument['job'];
};

const ownFields = (body: object): Record<string, unknown> =>
  Object.fromEntries(Object.entries(body).filter(([key]) => !KEPT_BY_SERVER.has(key)));

/** The document under its id, as files and the core have it. */
export const withId = <K extends Exclude<DocumentKind, 'job' | 'house'>>({
  id,
  document,
}: DocumentRow<K>): Documents[K] & { readonly id: string } => ({ id, ...document });

const stamp = ({ version, updatedAt }: DocumentRow): Versioned => ({
  version,
  updatedAt: updatedAt.toISOString(),
});

export const holeOf = (row: DocumentRow<'hole'>): Hole => withId(row);
export const pieceOf = (row: DocumentRow<'piece'>): Piece => withId(row);

const jobWithMaterials = (row: DocumentRow<'job'>): JobWithMaterials => ({
  ...row.document.job,
  id: row.id,
  ...stamp(row),
  customMaterials: row.document.customMaterials ?? [],
});

/** Each kind as it travels. */
export const SHOWN = {
  job: jobWithMaterials,
  piece: (row: DocumentRow<'piece'>): StoredPiece => ({
    ...pieceOf(row),
    jobId: row.parentId,
    ...stamp(row),
  }),
  hole: (row: DocumentRow<'hole'>): StoredHole => ({
    ...holeOf(row),
    pieceId: row.parentId,
    ...stamp(row),
  }),
  bit: (row: DocumentRow<'bit'>): StoredBit => ({ ...withId(row), ...stamp(row) }),
  machine: (row: DocumentRow<'machine'>): StoredMachine => ({ ...withId(row), ...stamp(row) }),
  house: ({ document, version }: DocumentRow<'house'>) => ({ ...document, version }),
  couplings: (row: DocumentRow<'couplings'>) => shownPart(row),
  supports: (row: DocumentRow<'supports'>) => shownPart(row),
  guides: (row: DocumentRow<'guides'>) => shownPart(row),
  water: (row: DocumentRow<'water'>) => shownPart(row),
} satisfies { readonly [K in DocumentKind]: (row: DocumentRow<K>) => object };

const shownPart = (
  row: DocumentRow<'couplings' | 'supports' | 'guides' | 'water'>,
): StoredPart => ({ ...withId(row), ...stamp(row) });

/** A row of any kind as it travels. */
export const shown = <K extends DocumentKind>(kind: K, row: DocumentRow<K>): object =>
  (SHOWN[kind] as unknown as (row: DocumentRow<K>) => object)(row);

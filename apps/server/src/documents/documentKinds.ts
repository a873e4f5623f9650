import type { Hole } from '@nucleon/core/documents/hole';
import type { House } from '@nucleon/core/documents/house';
import type { JobHeader } from '@nucleon/core/documents/job';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import {
  KIT_PART_SORTS,
  type Bit,
  type KitPart,
  type KitPartSort,
  type Machine,
} from '@nucleon/core/documents/kit';
import type { Piece } from '@nucleon/core/documents/piece';
import { EntitySchema, type EntitySchemaColumnOptions } from 'typeorm';
import { double, foreignId, idColumn, int, json, maybeText, text } from '../database/columns';

/** A job's file but for what stands in tables of its own: header, own materials, fields nobody knows. */
export type JobDocument = Omit<JobFile, 'format' | 'version' | 'job' | 'pieces' | 'bin' | 'kit'> & {
  readonly job: Omit<JobHeader, 'id'>;
  /** Of a file's kit what no table takes. */
  readonly kit?: Record<string, unknown>;
};

/** What is kept as a versioned document, by kind; its id stands beside it. */
export interface Documents extends Record<KitPartSort, Omit<KitPart, 'id'>> {
  job: JobDocument;
  piece: Omit<Piece, 'id'>;
  hole: Omit<Hole, 'id'>;
  bit: Omit<Bit, 'id'>;
  machine: Omit<Machine, 'id'>;
  house: House;
}
export type DocumentKind = keyof Documents;

export interface DocumentRow<K extends DocumentKind = DocumentKind> {
  readonly id: string;
  /** What it belongs to: a hole to its piece, a piece to its job, all else to the workshop. */
  readonly parentId: string;
  /** The id it has in the job file it came from, when that could not be kept. */
  readonly fileId: string | null;
  readonly version: number;
  readonly document: Documents[K];
  readonly updatedAt: Date;
  readonly deletedAt: Date | null;
  /** Its place among its like, where they are kept in order. */
  readonly position?: number;
}

/** A row with what of its document is searched, ordered or joined. */
export type StoredRow = DocumentRow & Record<string, unknown>;

const entityOf = (
  name: string,
  parent: string,
  columns: Record<string, EntitySchemaColumnOptions> = {},
): EntitySchema<StoredRow> =>
  new EntitySchema<StoredRow>({
    name,
    columns: {
      id: idColumn,
      parentId: foreignId(parent),
      fileId: maybeText('file_id', 80),
      version: int('version'),
      document: json('document'),
      updatedAt: { type: 'datetime', precision: 3, name: 'updated_at' },
      deletedAt: { type: 'datetime', precision: 3, name: 'deleted_at', nullable: true },
      ...columns,
    },
  });

const inWorkshop = 'workshop_id';
const named = { name: text('name', 120) };
const partEntity = entityOf('kit_part', inWorkshop, { ...named, sort: text('sort', 20) });

interface KindInStore<K extends DocumentKind> {
  readonly entity: EntitySchema<StoredRow>;
  /** What its columns hold of it. */
  readonly columns: (document: Documents[K]) => Record<string, unknown>;
  /** What it is called in a sentence. */
  readonly called: string;
  /** What it belongs to, in a sentence. */
  readonly within: string;
}

const part = (sort: KitPartSort): KindInStore<KitPartSort> => ({
  entity: partEntity,
  columns: ({ name }) => ({ name, sort }),
  called: 'part',
  within: 'workshop',
});

/** Where each kind lives. */
export const KINDS: { readonly [K in DocumentKind]: KindInStore<K> } = {
  job: {
    entity: entityOf('job', inWorkshop, named),
    columns: ({ job }) => ({ name: job.name }),
    called: 'job',
    within: 'workshop',
  },
  piece: {
    entity: entityOf('piece', 'job_id', {
      ...named,
      material: text('material', 80),
      position: int('position'),
    }),
    columns: ({ name, material }) => ({ name, material }),
    called: 'piece',
    within: 'job',
  },
  hole: {
    entity: entityOf('hole', 'piece_id', { position: int('position') }),
    columns: () => ({}),
    called: 'hole',
    within: 'piece',
  },
  bit: {
    entity: entityOf('bit', inWorkshop, { ...named, diameterMm: double('diameter_mm') }),
    columns: ({ name, diameterMm }) => ({ name, diameterMm }),
    called: 'bit',
    within: 'workshop',
  },
  machine: {
    entity: entityOf('machine', inWorkshop, named),
    columns: ({ name }) => ({ name }),
    called: 'machine',
    within: 'workshop',
  },
  house: {
    entity: entityOf('house', inWorkshop),
    columns: () => ({}),
    called: 'house',
    within: 'workshop',
  },
  couplings: part('couplings'),
  supports: part('supports'),
  guides: part('guides'),
  water: part('water'),
};

export const DOCUMENT_ENTITIES = [...new Set(Object.values(KINDS).map(({ entity }) => entity))];

/** Whether the kind is one of a kit’s lists beside bits and machines. */
export const isPartSort = (kind: DocumentKind): kind is KitPartSort =>
  KIT_PART_SORTS.some((sort) => sort === kind);

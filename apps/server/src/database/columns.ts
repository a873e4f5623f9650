import type { EntitySchemaColumnOptions } from 'typeorm';

export const idColumn: EntitySchemaColumnOptions = { type: 'varchar', length: 80, primary: true };
export const foreignId = (name: string): EntitySchemaColumnOptions => ({
  type: 'varchar',
  length: 80,
  name,
});
export const text = (name: string, length: number): EntitySchemaColumnOptions => ({
  type: 'varchar',
  length,
  name,
});
export const maybeText = (name: string, length: number): EntitySchemaColumnOptions => ({
  ...text(name, length),
  nullable: true,
});
export const double = (name: string): EntitySchemaColumnOptions => ({ type: 'double', name });
export const maybeDouble = (name: string): EntitySchemaColumnOptions => ({
  type: 'double',
  name,
  nullable: true,
});
export const json = (name: string): EntitySchemaColumnOptions => ({ type: 'json', name });
export const maybeJson = (name: string): EntitySchemaColumnOptions => ({
  type: 'json',
  name,
  nullable: true,
});
export const maybeYesNo = (name: string): EntitySchemaColumnOptions => ({
  type: 'boolean',
  name,
  nullable: true,
});
export const int = (name: string): EntitySchemaColumnOptions => ({ type: 'int', name });

/** What every stored thing has: a version for optimistic locking, UTC times, soft delete. */
export interface VersionedRow {
  id: string;
  /** The id it has in the job file it came from, when that could not be kept. */
  fileId: string | null;
  version: number;
  /** Fields of the job file that this version does not know. */
  extra: Record<string, unknown>;
  updatedAt: Date;
  deletedAt: Date | null;
}

export const versionedColumns = {
  id: idColumn,
  fileId: maybeText('file_id', 80),
  version: int('version'),
  extra: json('extra'),
  updatedAt: { type: 'datetime', precision: 3, name: 'updated_at' },
  deletedAt: { type: 'datetime', precision: 3, name: 'deleted_at', nullable: true },
} as const satisfies Record<keyof VersionedRow, EntitySchemaColumnOptions>;

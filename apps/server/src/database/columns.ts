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
export const json = (name: string): EntitySchemaColumnOptions => ({ type: 'json', name });
export const maybeJson = (name: string): EntitySchemaColumnOptions => ({
  type: 'json',
  name,
  nullable: true,
});
export const int = (name: string): EntitySchemaColumnOptions => ({ type: 'int', name });

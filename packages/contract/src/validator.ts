import type { Document, Schema } from '@nucleon/core/data/schema/schema';
import type { Fault } from '@nucleon/core/documents/fault';
import { _, Ajv2020, Name, type KeywordCxt, type ValidateFunction } from 'ajv/dist/2020.js';
import { isInstant } from './instant';
import { schemaFaults } from './schemaFaults';

/** So many faults are named at most: a file with more wants another look, not a longer list. */
export const MAX_FAULTS = 50;
/** A place may fail in several ways and is named once. */
const MAX_ERRORS = 4 * MAX_FAULTS;
const GIVE_UP = 'giveUpAfter';
/** What Ajv calls its own count and list in the code it writes. */
const ERRORS = new Name('errors');
const ERROR_LIST = new Name('vErrors');

const ajv = new Ajv2020({
  allErrors: true,
  verbose: true,
  discriminator: true,
  strict: true,
  allowUnionTypes: true,
  // The machine that runs it makes it shorter itself, and does so faster.
  code: { optimize: false },
});
ajv.addFormat('date-time', { type: 'string', validate: isInstant });
// All errors are wanted, but not a million of them: the loop over a list ends when there are enough.
ajv.addKeyword({
  keyword: GIVE_UP,
  schemaType: 'number',
  code: ({ gen, it, schema }: KeywordCxt) => {
    gen.if(_`${ERRORS} > ${schema as number}`, () => {
      gen.assign(_`${it.validateName}.errors`, ERROR_LIST);
      gen.return(false);
    });
  },
});

/** The schema with every list's items giving up once there are enough errors. */
function givingUp(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(givingUp);
  if (typeof schema !== 'object' || schema === null) return schema;
  return Object.fromEntries(
    Object.entries(schema).map(([key, value]) => [
      key,
      key === 'items' ? { ...(givingUp(value) as object), [GIVE_UP]: MAX_ERRORS } : givingUp(value),
    ]),
  );
}

export type Validated<T> =
  | { readonly kind: 'valid'; readonly value: T }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** What no data has been checked against yet. */
const uncompiled = new Set<() => unknown>();

/**
 * Compiles, one after the other, what no data has asked for yet, so that nobody who asks waits for it.
 * @param rest awaited before each: others get their turn meanwhile
 */
export async function compileAhead(rest: () => Promise<unknown>): Promise<void> {
  for (const compile of uncompiled) {
    await rest();
    compile();
  }
}

/** A check of unknown data against a schema, compiled once, when the first data comes or ahead of it. */
export function validator<S extends Schema, T = Document<S>>(
  schema: S,
): (data: unknown) => Validated<T> {
  let compiled: ValidateFunction<T> | undefined;
  const compile = (): ValidateFunction<T> => {
    uncompiled.delete(compile);
    return (compiled ??= ajv.compile<T>(givingUp(schema) as object));
  };
  uncompiled.add(compile);
  return (data) => {
    const validate = compiled ?? compile();
    return validate(data)
      ? { kind: 'valid', value: data }
      : { kind: 'faulty', faults: schemaFaults(validate.errors ?? []).slice(0, MAX_FAULTS) };
  };
}

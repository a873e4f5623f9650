import type { Fault } from '@nucleon/core/job/fault';
import { Ajv2020 } from 'ajv/dist/2020.js';
import type { JsonSchema } from './schemaParts';
import { schemaFaults } from './schemaFaults';

const ajv = new Ajv2020({
  allErrors: true,
  verbose: true,
  discriminator: true,
  strict: true,
  allowUnionTypes: true,
});

export type Validated<T> =
  | { readonly kind: 'valid'; readonly value: T }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** A check of unknown data against a schema, compiled once; the caller vouches that T fits it. */
export function validator<T>(schema: JsonSchema): (data: unknown) => Validated<T> {
  const validate = ajv.compile<T>(schema);
  return (data) =>
    validate(data)
      ? { kind: 'valid', value: data }
      : { kind: 'faulty', faults: schemaFaults(validate.errors ?? []) };
}

import type { Fault } from '@nucleon/core/documents/fault';
import type { ErrorObject } from 'ajv';

const SHOWN_LENGTH = 60;

function shown(value: unknown): string {
  if (typeof value === 'string')
    return `“${value.length > SHOWN_LENGTH ? `${value.slice(0, SHOWN_LENGTH)}…` : value}”`;
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object' && value !== null) return 'an object';
  return String(value);
}

const lastKey = (pointer: string): string => pointer.split('/').at(-1) ?? '';

function wanted(schema: unknown): string {
  if (typeof schema === 'object' && schema !== null && 'description' in schema)
    return String(schema.description);
  return 'something else';
}

/** `thickness` of `thicknessMm` or `thickness_in`: what is left without the unit. */
const stem = (key: string): string =>
  key.replace(/_?(mm|cm|m|in|inch|inches|n|mpa|rpm|s)$/i, '').toLowerCase();

function missing(error: ErrorObject): Fault {
  const key = String(error.params.missingProperty);
  const properties = (error.parentSchema as { properties?: Record<string, unknown> } | undefined)
    ?.properties;
  const near = Object.keys(error.data ?? {}).find(
    (other) => other !== key && stem(other) === stem(key),
  );
  const hint = near === undefined ? '' : ` Found “${near}” instead: give ${key}, converted.`;
  return {
    pointer: `${error.instancePath}/${key}`,
    message: `${key} is missing; it must be ${wanted(properties?.[key])}.${hint}`,
  };
}

const isSecret = ({ parentSchema }: ErrorObject): boolean =>
  (parentSchema as { writeOnly?: unknown } | undefined)?.writeOnly === true;

/** One Ajv error as a fault that names the value and what would be accepted; null for repeats. */
export function schemaFault(error: ErrorObject): Fault | null {
  const at = error.instancePath;
  const name = lastKey(at) || 'the file';
  switch (error.keyword) {
    case 'required':
      return missing(error);
    case 'oneOf':
      return null;
    case 'discriminator': {
      const tag = (error.data as { kind?: unknown } | null)?.kind;
      return {
        pointer: `${at}/kind`,
        message: `kind is ${shown(tag)}; ${name} must be ${wanted(error.parentSchema)}.`,
      };
    }
    case 'maxItems':
    case 'minItems':
      return {
        pointer: at,
        message: `${name} has ${(error.data as unknown[]).length} entries; it must be ${wanted(error.parentSchema)}.`,
      };
    default:
      return {
        pointer: at,
        message: `${name} ${isSecret(error) ? `has ${String(error.data).length} characters` : `is ${shown(error.data)}`}; it must be ${wanted(error.parentSchema)}.`,
      };
  }
}

/** All faults of a failed validation, one a place. */
export function schemaFaults(errors: readonly ErrorObject[]): Fault[] {
  const byPointer = new Map<string, Fault>();
  for (const error of errors) {
    const fault = schemaFault(error);
    if (fault && !byPointer.has(fault.pointer)) byPointer.set(fault.pointer, fault);
  }
  return [...byPointer.values()];
}

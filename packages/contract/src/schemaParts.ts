import { describeLimit, type NumberLimit } from './limits';

export interface JsonSchema {
  readonly [keyword: string]: unknown;
}

export const number = (limit: NumberLimit): JsonSchema => ({
  type: 'number',
  description: describeLimit(limit),
  ...(limit.above !== undefined
    ? { exclusiveMinimum: limit.above }
    : { minimum: limit.least ?? 0 }),
  maximum: limit.most,
});
export const oneOf = (values: readonly string[]): JsonSchema => ({
  type: 'string',
  enum: values,
  description: `one of ${values.join(', ')}`,
});
export const text = (most: number): JsonSchema => ({
  type: 'string',
  maxLength: most,
  description: `text of at most ${most} characters`,
});
/** Blanks at its ends would make two ids of what reads, sorts and is searched for as one. */
export const id: JsonSchema = {
  type: 'string',
  minLength: 1,
  maxLength: 80,
  pattern: '^\\S(.*\\S)?$',
  description: 'an id of 1 to 80 characters, no blank at its ends',
};
export const name: JsonSchema = {
  type: 'string',
  minLength: 1,
  maxLength: 120,
  description: 'a name of 1 to 120 characters',
};
export const yesNo: JsonSchema = { type: 'boolean', description: 'true or false' };
export const list = (items: JsonSchema, most: number): JsonSchema => ({
  type: 'array',
  items,
  maxItems: most,
  description: `a list of at most ${most}`,
});

/** Unknown fields are kept: nothing is closed with additionalProperties. */
export const object = (
  required: Record<string, JsonSchema>,
  optional: Record<string, JsonSchema> = {},
): JsonSchema => ({
  type: 'object',
  description: 'an object in braces',
  required: Object.keys(required),
  properties: { ...required, ...optional },
});

/** One shape for each kind, told apart by its `kind`. */
export const kinds = (
  shapes: Record<string, readonly [Record<string, JsonSchema>, Record<string, JsonSchema>?]>,
): JsonSchema => ({
  type: 'object',
  description: `an object whose kind is one of ${Object.keys(shapes).join(', ')}`,
  required: ['kind'],
  properties: { kind: { type: 'string' } },
  discriminator: { propertyName: 'kind' },
  oneOf: Object.entries(shapes).map(([kind, [required, optional]]) =>
    object({ kind: { const: kind }, ...required }, optional),
  ),
});

/** A point [x, y] on the face, mm. */
export const point = (limit: NumberLimit): JsonSchema => ({
  type: 'array',
  minItems: 2,
  maxItems: 2,
  items: number(limit),
  description: 'a point [x, y] in mm',
});

/** A time as JSON carries it. */
export const time: JsonSchema = {
  type: 'string',
  format: 'date-time',
  description: 'a time from 1970 to 2199 such as 2026-05-02T09:00:00Z',
};

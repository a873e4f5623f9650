import {
  Type,
  type Static,
  type TObject,
  type TOptional,
  type TProperties,
  type TSchema,
  type TUnsafe,
} from '@sinclair/typebox';
import { describeLimit, type NumberLimit } from './limits';

/*
 * What schemas of documents are built from. A `description` completes the sentence “it must be …”: what would be
 * accepted, for the fault that names a value. Unknown fields are kept: no object is closed.
 */

export type Schema = TSchema;
export type ObjectSchema<P extends TProperties = TProperties> = TObject<P>;

/** A document as code reads it: never changed in place. */
export type Document<T extends TSchema> = Frozen<Static<T>>;
type Frozen<T> = T extends object ? { readonly [K in keyof T]: Frozen<T[K]> } : T;

export const number = (limit: NumberLimit) =>
  Type.Number({
    description: describeLimit(limit),
    ...(limit.above !== undefined
      ? { exclusiveMinimum: limit.above }
      : { minimum: limit.min ?? 0 }),
    maximum: limit.max,
  });

export const wholeNumber = (min: number, max: number, description?: string) =>
  Type.Integer({
    minimum: min,
    maximum: max,
    description: description ?? `a whole number from ${min} to ${max}`,
  });

export const oneOf = <const T extends readonly string[]>(values: T): TUnsafe<T[number]> =>
  Type.Unsafe<T[number]>({
    type: 'string',
    enum: values,
    description: `one of ${values.join(', ')}`,
  });

export const text = (max: number) =>
  Type.String({ maxLength: max, description: `text of at most ${max} characters` });

/** Blanks at its ends would make two ids of what reads, sorts and is searched for as one. */
export const id = Type.String({
  minLength: 1,
  maxLength: 80,
  pattern: '^\\S(.*\\S)?$',
  description: 'an id of 1 to 80 characters, no blank at its ends',
});

export const name = Type.String({
  minLength: 1,
  maxLength: 120,
  description: 'a name of 1 to 120 characters',
});

/** Text of one form, such as digits. */
export const matching = (pattern: string, description: string) =>
  Type.String({ pattern, description });

/** The same of what nobody but its giver may read: a fault tells how long it is, never what it is. */
export const secret = (pattern: string, description: string) =>
  Type.String({ pattern, description, writeOnly: true });

export const yesNo = Type.Boolean({ description: 'true or false' });

/** A time as JSON carries it. */
export const time = Type.String({
  format: 'date-time',
  description: 'a time from 1970 to 2199 such as 2026-05-02T09:00:00Z',
});

export const list = <T extends TSchema>(items: T, max: number) =>
  Type.Array(items, { maxItems: max, description: `a list of at most ${max}` });

/** A list that may not be empty. */
export const someOf = <T extends TSchema>(items: T, max: number, what = 'entries') =>
  Type.Array(items, {
    minItems: 1,
    maxItems: max,
    description: `a list of 1 to ${max} ${what}`,
  });

type Optionals<P extends TProperties> = { [K in keyof P]: TOptional<P[K]> };

/** Fields that must be there, then fields that may be. */
export function object<R extends TProperties>(required: R): TObject<R>;
export function object<R extends TProperties, O extends TProperties>(
  required: R,
  optional: O,
): TObject<R & Optionals<O>>;
export function object(required: TProperties, optional: TProperties = {}): TObject {
  const maybe = Object.entries(optional).map(([key, schema]) => [key, Type.Optional(schema)]);
  return Type.Object(
    { ...required, ...(Object.fromEntries(maybe) as TProperties) },
    { description: 'an object in braces' },
  );
}

/** The same object with more fields. */
export const withFields = <T extends TProperties, R extends TProperties>(
  schema: TObject<T>,
  more: R,
): TObject<T & R> => Type.Object({ ...schema.properties, ...more }, described(schema));

/** The same object without some of its fields. */
export function withoutFields<T extends TProperties, K extends keyof T & string>(
  schema: TObject<T>,
  ...keys: readonly K[]
): TObject<Omit<T, K>> {
  const left = Object.entries(schema.properties).filter(([key]) => !keys.includes(key as K));
  return Type.Object(Object.fromEntries(left), described(schema)) as unknown as TObject<Omit<T, K>>;
}

const described = ({ description }: TSchema) => (description === undefined ? {} : { description });

/** Every field may be missing: what early files had in any shape. */
export const loose = <T extends TProperties>(schema: TObject<T>): TObject<Optionals<T>> =>
  object({}, schema.properties);

type Shapes = Record<string, TObject>;
type OneOfKinds<S extends Shapes> = {
  [K in keyof S]: { kind: K } & Static<S[K]>;
}[keyof S];

/** One shape for each kind, told apart by its `kind`. */
export const kinds = <S extends Shapes>(shapes: S): TUnsafe<OneOfKinds<S>> =>
  Type.Unsafe({
    type: 'object',
    description: `an object whose kind is one of ${Object.keys(shapes).join(', ')}`,
    required: ['kind'],
    properties: { kind: { type: 'string' } },
    discriminator: { propertyName: 'kind' },
    oneOf: Object.entries(shapes).map(([kind, shape]) =>
      Type.Object({ kind: Type.Literal(kind), ...shape.properties }, described(shape)),
    ),
  });

/** A point [x, y] on the face, mm. */
export const point = (limit: NumberLimit) =>
  Type.Unsafe<[number, number]>({
    type: 'array',
    minItems: 2,
    maxItems: 2,
    items: number(limit),
    description: 'a point [x, y] in mm',
  });

export const points = (min: number, max: number, limit: NumberLimit) =>
  Type.Array(point(limit), {
    minItems: min,
    maxItems: max,
    description: `a list of ${min} to ${max} points [x, y]`,
  });

/** Text by key, where the keys are not a schema's to know. */
export const textByKey = (maxKeys: number, maxText: number, description: string) =>
  Type.Unsafe<Record<string, string>>({
    type: 'object',
    maxProperties: maxKeys,
    additionalProperties: text(maxText),
    description,
  });

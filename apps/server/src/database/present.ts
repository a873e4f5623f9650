/** A row's nulls are a job file's missing fields. */
type Present<T> = { [K in keyof T as null extends T[K] ? never : K]: T[K] } & {
  [K in keyof T as null extends T[K] ? K : never]?: NonNullable<T[K]>;
};

/** The object without its null fields. */
export function present<T extends object>(fields: T): Present<T> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== null),
  ) as Present<T>;
}

/** The fields not named: what this version does not know and must keep. */
export function fieldsBeside(data: object, known: readonly string[]): Record<string, unknown> {
  return Object.fromEntries(Object.entries(data).filter(([key]) => !known.includes(key)));
}

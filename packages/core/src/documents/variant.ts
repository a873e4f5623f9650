/** Of a union, the members whose tag may be this value: also those that share it with other values. */
export type Variant<U, Tag extends keyof U, Value> = U extends unknown
  ? Value extends U[Tag]
    ? U
    : never
  : never;

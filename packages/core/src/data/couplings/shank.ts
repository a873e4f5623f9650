import { CONNECTION_IDS } from './connections';
import { LIMITS } from '../schema/limits';
import { list, number, object, oneOf, type Document } from '../schema/schema';

const shankSize = number({ above: 0, max: 100, unit: 'mm' });

/** The end of a bit or adapter that goes into something. */
export const shankSchema = object(
  { kind: oneOf(CONNECTION_IDS) },
  {
    /** Across a round or six-sided shank. */
    sizeMm: shankSize,
  },
);
export interface Shank extends Document<typeof shankSchema> {}

/** The end of a machine or adapter that takes something. */
export const holderSchema = object(
  { kind: oneOf(CONNECTION_IDS) },
  {
    /** What a chuck closes on. */
    leastMm: number(LIMITS.smallMm),
    mostMm: number(LIMITS.smallMm),
    /** A set of collets instead: only these. */
    sizesMm: list(shankSize, 50),
  },
);
export interface Holder extends Document<typeof holderSchema> {}

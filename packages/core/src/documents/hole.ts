import { Type } from '@sinclair/typebox';
import { MARK_KINDS } from '../data/choices';
import { hazardCheckSchema } from './hazardCheck';
import { LIMITS } from '../data/schema/limits';
import {
  id,
  kinds,
  list,
  number,
  object,
  oneOf,
  text,
  time,
  type Document,
} from '../data/schema/schema';
import { operationSchema } from './operation';
import { setupSchema } from './setup';

/** What the tape said after marking: the two distances, and the check across. */
const markReading = object(
  { firstMm: number(LIMITS.placeMm), secondMm: number(LIMITS.placeMm), at: time },
  { checkMm: number(LIMITS.placeMm) },
);
export interface MarkReading extends Document<typeof markReading> {}

const mark = object({}, { kind: oneOf(MARK_KINDS), measured: markReading });
export interface HoleMark extends Document<typeof mark> {}

const depth = kinds({
  through: object({}),
  blind: object({ depthMm: number(LIMITS.thicknessMm) }),
  ring: object({ depthMm: number(LIMITS.thicknessMm) }),
});
export type HoleDepth = Document<typeof depth>;

/** The purpose's kind and what is known of the part: docs/purposes.md. */
const purpose = Type.Unsafe<{ kind: string; [field: string]: unknown }>({
  ...object({ kind: text(60) }),
  maxProperties: 40,
  description: 'an object with the purpose’s kind and the part’s own fields',
});

const MAX_OPERATIONS = 100;

/** A hole where it stands on its face, with what it is for and how it is to be drilled. */
export const holeSchema = object(
  {
    id,
    xMm: number(LIMITS.placeMm),
    yMm: number(LIMITS.placeMm),
    diameterMm: number(LIMITS.diameterMm),
    depth,
  },
  {
    label: text(120),
    face: oneOf(['top', 'side', 'base']),
    fall: object({ oneIn: number(LIMITS.oneIn), lowSide: oneOf(['near', 'far']) }),
    purpose,
    checks: list(hazardCheckSchema, 200),
    mark,
    setup: setupSchema,
    /** What is done to it, in order; left out, the planner derives it from setup, leaves and purpose. */
    operations: list(operationSchema, MAX_OPERATIONS),
  },
);
export interface Hole extends Document<typeof holeSchema> {}

import { Type } from '@sinclair/typebox';
import { EDGE_RULE_IDS, SCHOOL_IDS } from '../data/choices';
import { LIMITS } from '../data/schema/limits';
import { number, object, oneOf, text, type Document } from '../data/schema/schema';

/** How this workshop does things, remembered from one job to the next. */
export const houseSchema = object(
  {},
  {
    /** Its own rule of how near a hole may come to an edge. */
    edge: object({
      per: oneOf(['diameter', 'thickness', 'mm']),
      value: number({ above: 0, max: 1000, unit: '' }),
    }),
    /** Which school of edge distance binds; the strictest where none is chosen. */
    school: oneOf(EDGE_RULE_IDS),
    /** The way chosen in each dispute of schools, by question. */
    habits: Type.Unsafe<Record<string, string>>({
      type: 'object',
      propertyNames: { enum: SCHOOL_IDS },
      additionalProperties: text(40),
      description: `ways by question: ${SCHOOL_IDS.join(', ')}`,
    }),
    /** Whether plans take what the log tells, or go by calculation alone; they do where nothing is said. */
    fromLog: oneOf(['take', 'leave']),
    /** What an hour at the bench is worth, in one's own money. */
    hourMoney: number(LIMITS.money),
  },
);
export interface House extends Document<typeof houseSchema> {}

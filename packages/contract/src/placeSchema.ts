import { KEEP_OFF_KINDS, MARK_KINDS, SERVICE_KINDS } from '@nucleon/core/job/place';
import { SCHOOL_IDS } from '@nucleon/core/plan/schools';
import { EDGE_RULES } from '@nucleon/core/layout/edgeRules';
import { LIMITS } from './limits';
import {
  id,
  kinds,
  list,
  number,
  object,
  oneOf,
  point,
  text,
  time,
  type JsonSchema,
} from './schemaParts';

const points = (least: number, most: number): JsonSchema => ({
  type: 'array',
  minItems: least,
  maxItems: most,
  description: `a list of ${least} to ${most} points [x, y]`,
  items: point(LIMITS.placeMm),
});
const place = { xMm: number(LIMITS.placeMm), yMm: number(LIMITS.placeMm) };

export const outlineSchema = kinds({
  rectangle: [{ widthMm: number(LIMITS.lengthMm), heightMm: number(LIMITS.lengthMm) }],
  circle: [{ diameterMm: number(LIMITS.lengthMm) }],
  polygon: [
    { pointsMm: points(3, 10_000) },
    { bulges: list(number({ least: -1000, most: 1000, unit: 'as a bulge' }), 10_000) },
  ],
  cylinder: [{ outerDiameterMm: number(LIMITS.lengthMm), heightMm: number(LIMITS.lengthMm) }],
  cone: [
    {
      bottomDiameterMm: number(LIMITS.lengthMm),
      topDiameterMm: number(LIMITS.lengthMm),
      heightMm: number(LIMITS.lengthMm),
    },
  ],
});

export const keepOff = object(
  {
    id,
    kind: oneOf(KEEP_OFF_KINDS),
    shape: kinds({
      circle: [{ ...place, diameterMm: number(LIMITS.lengthMm) }],
      rectangle: [
        { ...place, widthMm: number(LIMITS.lengthMm), heightMm: number(LIMITS.lengthMm) },
      ],
      line: [{ pointsMm: points(2, 200) }],
    }),
  },
  { label: text(120), marginMm: number(LIMITS.smallMm) },
);

export const serviceBand = object(
  {
    id,
    kind: oneOf(SERVICE_KINDS),
    pointsMm: points(2, 200),
    widthMm: number(LIMITS.smallMm),
    uncertaintyMm: number(LIMITS.smallMm),
  },
  { label: text(120), depthMm: number(LIMITS.smallMm) },
);

export const datum = object({ x: oneOf(['left', 'right']), y: oneOf(['bottom', 'top']) });

export const holeMark = object(
  {},
  {
    kind: oneOf(MARK_KINDS),
    measured: object(
      { firstMm: number(LIMITS.placeMm), secondMm: number(LIMITS.placeMm), at: time },
      { checkMm: number(LIMITS.placeMm) },
    ),
  },
);

export const photo = object(
  {
    id,
    ...place,
    mmPerPx: number({ above: 0, most: 1000, unit: 'mm' }),
    widthPx: number(LIMITS.pictureSidePx),
    heightPx: number(LIMITS.pictureSidePx),
  },
  { turnDeg: number({ least: -360, most: 360, unit: 'degrees' }) },
);

/** The workshop's own habits. */
export const houseFields = {
  required: {},
  optional: {
    edge: object({
      per: oneOf(['diameter', 'thickness', 'mm']),
      value: number({ above: 0, most: 1000, unit: '' }),
    }),
    school: oneOf(Object.keys(EDGE_RULES)),
    habits: {
      type: 'object',
      propertyNames: { enum: [...SCHOOL_IDS] },
      additionalProperties: text(40),
      description: `ways by question: ${SCHOOL_IDS.join(', ')}`,
    },
    hourMoney: number(LIMITS.money),
  },
} as const;

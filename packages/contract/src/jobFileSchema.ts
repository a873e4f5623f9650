import { BIT_FAMILY_IDS } from '@nucleon/core/bits/bitFamilies';
import { COOLANT_IDS } from '@nucleon/core/coolants/coolants';
import { HAZARDS } from '@nucleon/core/hazards/judgeHazards';
import { HOLDS, PACES, STARTS } from '@nucleon/core/job/choices';
import { DAMAGES, GLASS_TREATMENTS, PIECE_FORMS } from '@nucleon/core/job/job';
import { MACHINE_KIND_IDS } from '@nucleon/core/machines/machineKinds';
import { MATERIAL_CLASSES } from '@nucleon/core/materials/material';
import { PURPOSE_KINDS } from '@nucleon/core/purposes/purposes';
import { SUPPORT_IDS } from '@nucleon/core/supports/supports';
import { describeLimit, LIMITS, type NumberLimit } from './limits';

export interface JsonSchema {
  readonly [keyword: string]: unknown;
}

const number = (limit: NumberLimit): JsonSchema => ({
  type: 'number',
  description: describeLimit(limit),
  ...(limit.above !== undefined
    ? { exclusiveMinimum: limit.above }
    : { minimum: limit.least ?? 0 }),
  maximum: limit.most,
});
const oneOf = (values: readonly string[]): JsonSchema => ({
  type: 'string',
  enum: values,
  description: `one of ${values.join(', ')}`,
});
const text = (most: number): JsonSchema => ({
  type: 'string',
  maxLength: most,
  description: `text of at most ${most} characters`,
});
const id: JsonSchema = {
  type: 'string',
  minLength: 1,
  maxLength: 80,
  description: 'an id of 1 to 80 characters',
};
const name: JsonSchema = {
  type: 'string',
  minLength: 1,
  maxLength: 120,
  description: 'a name of 1 to 120 characters',
};
const yesNo: JsonSchema = { type: 'boolean', description: 'true or false' };
const list = (items: JsonSchema, most: number): JsonSchema => ({
  type: 'array',
  items,
  maxItems: most,
  description: `a list of at most ${most}`,
});

/** Unknown fields are kept: nothing is closed with additionalProperties. */
const object = (
  required: Record<string, JsonSchema>,
  optional: Record<string, JsonSchema> = {},
): JsonSchema => ({
  type: 'object',
  description: 'an object in braces',
  required: Object.keys(required),
  properties: { ...required, ...optional },
});

/** One shape for each kind, told apart by its `kind`. */
const kinds = (
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

const check = object(
  {
    hazard: {
      type: 'string',
      maxLength: 80,
      description: `a hazard code such as ${Object.keys(HAZARDS).join(', ')}`,
    },
    answer: text(200),
    at: {
      type: 'string',
      pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}(:\\d{2}(\\.\\d+)?)?(Z|[+-]\\d{2}:\\d{2})$',
      description: 'a time such as 2026-05-02T09:00:00Z',
    },
  },
  { note: text(500), of: text(500) },
);

export const outlineSchema = kinds({
  rectangle: [{ widthMm: number(LIMITS.lengthMm), heightMm: number(LIMITS.lengthMm) }],
  circle: [{ diameterMm: number(LIMITS.lengthMm) }],
  polygon: [
    {
      pointsMm: {
        type: 'array',
        minItems: 3,
        maxItems: 10_000,
        description: 'a list of 3 to 10000 points [x, y]',
        items: {
          type: 'array',
          minItems: 2,
          maxItems: 2,
          items: number(LIMITS.placeMm),
          description: 'a point [x, y] in mm',
        },
      },
    },
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

const setup = object(
  {},
  {
    bit: id,
    bits: list(id, 20),
    machine: id,
    support: object(
      { kind: oneOf(SUPPORT_IDS) },
      {
        thicknessMm: number(LIMITS.smallMm),
        contactFraction: number(LIMITS.share),
        edgesHeld: oneOf(['none', 'two', 'four']),
      },
    ),
    guide: object(
      { kind: text(40) },
      { thicknessMm: number(LIMITS.smallMm), clearanceMm: number(LIMITS.smallMm) },
    ),
    hold: oneOf(HOLDS),
    start: oneOf(STARTS),
    pace: oneOf(PACES),
    sides: oneOf(['one', 'two']),
    water: object(
      { kind: oneOf(COOLANT_IDS) },
      {
        trayLengthMm: number(LIMITS.lengthMm),
        trayWidthMm: number(LIMITS.lengthMm),
        coverMm: number({ above: 0, most: 500, unit: 'mm' }),
        extraction: yesNo,
      },
    ),
    rimSpeedMPerS: number(LIMITS.rimSpeedMPerS),
    contactPressureMpa: number(LIMITS.contactPressureMpa),
    standFixing: oneOf(['anchor', 'vacuum', 'prop']),
  },
);

/** A hole without its id's place in a piece: what the server takes on PUT. */
export const holeFields = {
  required: {
    xMm: number(LIMITS.placeMm),
    yMm: number(LIMITS.placeMm),
    diameterMm: number(LIMITS.diameterMm),
    depth: kinds({
      through: [{}],
      blind: [{ depthMm: number(LIMITS.thicknessMm) }],
      ring: [{ depthMm: number(LIMITS.thicknessMm) }],
    }),
  },
  optional: {
    label: text(120),
    face: oneOf(['top', 'side', 'base']),
    fall: object({ oneIn: number(LIMITS.oneIn), lowSide: oneOf(['near', 'far']) }),
    purpose: {
      ...object({ kind: text(60) }),
      maxProperties: 40,
      description: `an object whose kind is one of ${PURPOSE_KINDS.join(', ')}, with the part’s own fields`,
    },
    checks: list(check, 200),
    setup,
  },
} as const;

export const pieceFields = {
  required: {
    name,
    form: oneOf(PIECE_FORMS),
    material: id,
    thicknessMm: number(LIMITS.thicknessMm),
    outline: outlineSchema,
  },
  optional: {
    glassTreatment: oneOf(GLASS_TREATMENTS),
    assembled: yesNo,
    valueMoney: number(LIMITS.money),
    layers: list(
      object(
        { material: id, thicknessMm: number(LIMITS.thicknessMm) },
        { mix: list(object({ material: id, share: number(LIMITS.share) }), 20) },
      ),
      50,
    ),
    checks: list(check, 200),
    thicknessReadingsMm: list(number(LIMITS.thicknessMm), 50),
    damage: oneOf(DAMAGES),
    spareAvailable: yesNo,
    yearMade: number({ least: 0, most: 2200, unit: 'as a year' }),
    practice: yesNo,
    couldBe: list(object({ material: id, share: number(LIMITS.share) }), 30),
    knowing: object({
      kind: text(40),
      answers: {
        type: 'object',
        maxProperties: 100,
        additionalProperties: text(80),
        description: 'answers by question',
      },
    }),
  },
} as const;

export const bitFields = {
  required: { name, family: oneOf(BIT_FAMILY_IDS), diameterMm: number(LIMITS.diameterMm) },
  optional: {
    rimWidthMm: number(LIMITS.rimWidthMm),
    coverage: number(LIMITS.share),
    usableDepthMm: number(LIMITS.thicknessMm),
    sharpness: number(LIMITS.sharpness),
    runOutMm: number(LIMITS.smallMm),
    depthCutMm: number(LIMITS.depthCutMm),
    holesCut: number(LIMITS.count),
    price: number(LIMITS.money),
    maxRpm: number({ above: 0, most: 100_000, unit: 'rpm' }),
  },
} as const;

const speeds = kinds({
  range: [{ minRpm: number(LIMITS.rpm), maxRpm: number({ above: 0, most: 100_000, unit: 'rpm' }) }],
  steps: [
    {
      rpm: {
        type: 'array',
        minItems: 1,
        maxItems: 50,
        description: 'a list of 1 to 50 speeds in rpm',
        items: number({ above: 0, most: 100_000, unit: 'rpm' }),
      },
    },
  ],
  gears: [
    {
      gears: {
        type: 'array',
        minItems: 1,
        maxItems: 20,
        description: 'a list of 1 to 20 gears',
        items: object(
          { minRpm: number(LIMITS.rpm), maxRpm: number({ above: 0, most: 100_000, unit: 'rpm' }) },
          { stallTorqueNm: number(LIMITS.torqueNm) },
        ),
      },
    },
  ],
});

export const machineFields = {
  required: { name, kind: oneOf(MACHINE_KIND_IDS) },
  optional: {
    speeds,
    stallTorqueNm: number(LIMITS.torqueNm),
    clutchTorqueNm: {
      type: ['number', 'null'],
      exclusiveMinimum: 0,
      maximum: 2000,
      description: 'a number of N·m above 0 and at most 2000, or null for no clutch',
    },
    power: oneOf(['mains', 'mains-protected', 'battery', 'low-voltage']),
  },
} as const;

export const jobFields = {
  required: { name },
  optional: { notes: text(10_000), checks: list(check, 200) },
} as const;

const above0 = (most: number, unit: string): JsonSchema => number({ above: 0, most, unit });
const pressureWindow = object({
  glaze: above0(20, 'MPa'),
  low: above0(20, 'MPa'),
  best: above0(20, 'MPa'),
  high: above0(20, 'MPa'),
});
const speedWindow = object({
  low: above0(20, 'm/s'),
  best: above0(20, 'm/s'),
  high: above0(20, 'm/s'),
});

const customMaterial = object({
  id,
  name,
  class: oneOf(MATERIAL_CLASSES),
  pressureMpa: pressureWindow,
  rimSpeedMPerS: speedWindow,
  specificEnergyJPerMm3: above0(100, 'J/mm³'),
  friction: above0(1, ''),
  heatShare: above0(1, ''),
  youngModulusMpa: above0(1e6, 'MPa'),
  poisson: above0(0.49, ''),
  edgeStrengthMpa: above0(1000, 'MPa'),
  weibullModulus: above0(100, ''),
  toughnessMpaSqrtM: above0(100, 'MPa√m'),
  conductivityWPerMK: above0(1000, 'W/(m·K)'),
  specificHeatJPerKgK: above0(10_000, 'J/(kg·K)'),
  densityKgPerM3: above0(10_000, 'kg/m³'),
  expansionPerK: above0(1e-3, '1/K'),
  mohs: above0(10, ''),
  heatConstraint: number({ least: 0, most: 1, unit: '' }),
  exitChipFactor: above0(10, ''),
  finesColour: {
    type: 'string',
    pattern: '^#[0-9A-Fa-f]{6}$',
    description: 'a colour such as #A1B2C3',
  },
  grainSizeUm: above0(1000, 'µm'),
  dust: oneOf(['silica', 'nuisance', 'shell']),
  abrasiveness: oneOf(['soft-abrasive', 'medium', 'hard']),
});

const part = (
  fields: { required: Record<string, JsonSchema>; optional: Record<string, JsonSchema> },
  more: Record<string, JsonSchema> = {},
): JsonSchema => object({ id, ...fields.required, ...more }, fields.optional);

/** The open job file, version 1, as JSON Schema draft 2020-12. */
export const JOB_FILE_SCHEMA: JsonSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:nucleon:job:1',
  title: 'nucleon-job version 1',
  ...object(
    {
      format: { const: 'nucleon-job', description: '"nucleon-job"' },
      version: { const: 1, description: 'the number 1' },
      job: part(jobFields),
      pieces: list(part(pieceFields, { holes: list(part(holeFields), 10_000) }), 1000),
    },
    {
      kit: object(
        {},
        {
          bits: list(part(bitFields), 5000),
          machines: list(part(machineFields), 1000),
          supports: list({}, 1000),
          guides: list({}, 1000),
        },
      ),
      customMaterials: list(customMaterial, 200),
      log: list({}, 100_000),
    },
  ),
};

export type FieldSet = {
  readonly required: Record<string, JsonSchema>;
  readonly optional: Record<string, JsonSchema>;
};

/** A job's own materials as they are written together, with the job's version. */
export const materialFields = {
  required: { customMaterials: list(customMaterial, 200) },
  optional: {},
} as const;

/** Body of a PUT: the fields of a resource and the version it was read at (0 when new). */
export function putSchema(fields: FieldSet, name_: string): JsonSchema {
  return {
    $id: `urn:nucleon:put:${name_}`,
    ...object(
      {
        ...fields.required,
        version: {
          type: 'integer',
          minimum: 0,
          maximum: 2_147_483_647,
          description: 'the version it was read at, 0 when new',
        },
      },
      fields.optional,
    ),
  };
}

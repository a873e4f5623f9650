import { COOLANT_IDS } from '@nucleon/core/coolants/coolants';
import { HAZARDS } from '@nucleon/core/hazards/judgeHazards';
import { HOLDS, PACES, STARTS } from '@nucleon/core/job/choices';
import { DAMAGES, GLASS_TREATMENTS, PIECE_FORMS } from '@nucleon/core/job/job';
import { PURPOSE_KINDS } from '@nucleon/core/purposes/purposes';
import { SUPPORT_IDS } from '@nucleon/core/supports/supports';
import {
  bitFields,
  couplingFields,
  guideFields,
  machineFields,
  supportFields,
  waterFields,
} from './kitSchema';
import { LIMITS } from './limits';
import { customMaterial } from './materialSchema';
import {
  datum,
  holeMark,
  houseFields,
  keepOff,
  outlineSchema,
  photo,
  serviceBand,
} from './placeSchema';
import { runEventSchema } from './runSchema';
import {
  id,
  kinds,
  list,
  name,
  number,
  object,
  oneOf,
  text,
  time,
  yesNo,
  type JsonSchema,
} from './schemaParts';

const check = object(
  {
    hazard: {
      type: 'string',
      maxLength: 80,
      description: `a hazard code such as ${Object.keys(HAZARDS).join(', ')}`,
    },
    answer: text(200),
    at: time,
  },
  { note: text(500), of: text(500) },
);

/** A rectangle on the face, its lower left corner first; it may hang over the edge. */
const patch = {
  xMm: number(LIMITS.placeMm),
  yMm: number(LIMITS.placeMm),
  widthMm: number(LIMITS.lengthMm),
  heightMm: number(LIMITS.lengthMm),
} as const;

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
        pads: list(
          object(patch, { kind: oneOf(SUPPORT_IDS), thicknessMm: number(LIMITS.smallMm) }),
          20,
        ),
        twistMm: number({ least: 0, most: 20, unit: 'mm' }),
        clamps: list(
          object({
            xMm: number(LIMITS.placeMm),
            yMm: number(LIMITS.placeMm),
            padDiameterMm: number(LIMITS.smallMm),
            forceN: number({ above: 0, most: 5000, unit: 'N' }),
          }),
          20,
        ),
        boards: list(object({ ...patch, thicknessMm: number(LIMITS.smallMm) }), 20),
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
        offBeforeFarFaceMm: number(LIMITS.smallMm),
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
    mark: holeMark,
    setup,
  },
} as const;

export { houseFields } from './placeSchema';

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
    keepOff: list(keepOff, 200),
    services: list(serviceBand, 200),
    datum,
    photo,
  },
} as const;

export const jobFields = {
  required: { name },
  optional: { notes: text(10_000), checks: list(check, 200) },
} as const;

const part = (
  fields: { required: Record<string, JsonSchema>; optional: Record<string, JsonSchema> },
  more: Record<string, JsonSchema> = {},
): JsonSchema => object({ id, ...fields.required, ...more }, fields.optional);

const loosePart = (fields: FieldSet): JsonSchema =>
  object({}, { id, ...fields.required, ...fields.optional });

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
          couplings: list(part(couplingFields), 1000),
          // Early files had these in any shape: what has no name or kind is kept as it is.
          supports: list(loosePart(supportFields), 1000),
          guides: list(loosePart(guideFields), 1000),
          water: list(part(waterFields), 1000),
        },
      ),
      customMaterials: list(customMaterial, 200),
      house: object({}, houseFields.optional),
      bin: object(
        {},
        {
          pieces: list(part(pieceFields, { holes: list(part(holeFields), 10_000) }), 1000),
          holes: list(part(holeFields, { pieceId: id }), 10_000),
        },
      ),
      // Early files had entries of any shape: what is no run goes through unread.
      log: list(object({}, { runId: id, events: list(runEventSchema, 10_000) }), 10_000),
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

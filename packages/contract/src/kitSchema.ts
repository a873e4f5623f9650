import { BIT_FAMILY_IDS } from '@nucleon/core/bits/bitFamilies';
import { COOLANT_IDS } from '@nucleon/core/coolants/coolants';
import { APART_WAYS } from '@nucleon/core/couplings/apart';
import { CONNECTION_IDS } from '@nucleon/core/couplings/connections';
import { BIT_STATES, COUPLING_KINDS } from '@nucleon/core/job/kit';
import { MACHINE_KIND_IDS } from '@nucleon/core/machines/machineKinds';
import { SUPPORT_IDS } from '@nucleon/core/supports/supports';
import { LIMITS } from './limits';
import { kinds, list, name, number, object, oneOf, text, time, yesNo } from './schemaParts';

const shank = object(
  { kind: oneOf(CONNECTION_IDS) },
  { sizeMm: number({ above: 0, most: 100, unit: 'mm' }) },
);

const holder = object(
  { kind: oneOf(CONNECTION_IDS) },
  {
    leastMm: number(LIMITS.smallMm),
    mostMm: number(LIMITS.smallMm),
    sizesMm: list(number({ above: 0, most: 100, unit: 'mm' }), 50),
  },
);

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
    supplier: text(120),
    batch: text(120),
    shank,
    barrelDiameterMm: number(LIMITS.diameterMm),
    slotted: yesNo,
    state: oneOf(BIT_STATES),
    sharpnessLog: list(
      object({
        at: time,
        sharpness: number(LIMITS.sharpness),
        how: oneOf(['checked', 'dressed', 'set', 'drilled']),
      }),
      500,
    ),
    retired: yesNo,
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
    holders: list(holder, 10),
    travelMm: number(LIMITS.thicknessMm),
    chuckToTableMm: number(LIMITS.thicknessMm),
    throatMm: number(LIMITS.thicknessMm),
    waterRated: yesNo,
    spindleWater: yesNo,
    leverArmMm: number(LIMITS.thicknessMm),
    pinionRadiusMm: number(LIMITS.thicknessMm),
    retired: yesNo,
  },
} as const;

export const couplingFields = {
  required: { name, kind: oneOf(COUPLING_KINDS), into: shank, takes: holder },
  optional: {
    lengthMm: number(LIMITS.thicknessMm),
    carriesWater: yesNo,
    apart: oneOf(APART_WAYS),
    retired: yesNo,
  },
} as const;

export const supportFields = {
  required: { name, kind: oneOf(SUPPORT_IDS) },
  optional: {
    thicknessMm: number(LIMITS.smallMm),
    widthMm: number(LIMITS.lengthMm),
    lengthMm: number(LIMITS.lengthMm),
    retired: yesNo,
  },
} as const;

export const guideFields = {
  required: { name, kind: text(40) },
  optional: {
    thicknessMm: number(LIMITS.smallMm),
    boreMm: number(LIMITS.diameterMm),
    retired: yesNo,
  },
} as const;

export const waterFields = {
  required: { name, kind: oneOf(COOLANT_IDS) },
  optional: {
    trayLengthMm: number(LIMITS.lengthMm),
    trayWidthMm: number(LIMITS.lengthMm),
    trayDepthMm: number(LIMITS.lengthMm),
    retired: yesNo,
  },
} as const;

/** The parts of a kit beside bits and machines, by their list in the job file. */
export const KIT_PART_FIELDS = {
  couplings: couplingFields,
  supports: supportFields,
  guides: guideFields,
  water: waterFields,
} as const;
export type KitPartSort = keyof typeof KIT_PART_FIELDS;
export const KIT_PART_SORTS = Object.keys(KIT_PART_FIELDS) as readonly KitPartSort[];

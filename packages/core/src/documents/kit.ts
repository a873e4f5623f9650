import { Type } from '@sinclair/typebox';
import { BIT_FAMILY_IDS } from '../data/bits/bitFamilies';
import { COOLANT_IDS } from '../data/coolants';
import { APART_WAYS } from '../data/couplings/apart';
import { MACHINE_KIND_IDS } from '../data/machines/machineKinds';
import { SUPPORT_IDS } from '../data/supports';
import { BIT_ENDS, BIT_STATES, COUPLING_KINDS } from '../data/choices';
import { holderSchema, shankSchema } from '../data/couplings/shank';
import { LIMITS } from '../data/schema/limits';
import { machineSpeedsSchema } from '../data/machines/machineSpeeds';
import {
  id,
  list,
  name,
  number,
  object,
  oneOf,
  text,
  time,
  yesNo,
  type Document,
} from '../data/schema/schema';

/** One entry of a bit's life: how sharp it was found or made. */
const sharpnessNote = object({
  at: time,
  sharpness: number(LIMITS.sharpness),
  how: oneOf(['checked', 'dressed', 'set', 'drilled']),
});
export interface SharpnessNote extends Document<typeof sharpnessNote> {}

export const bitSchema = object(
  { id, name, family: oneOf(BIT_FAMILY_IDS), diameterMm: number(LIMITS.diameterMm) },
  {
    rimWidthMm: number(LIMITS.rimWidthMm),
    coverage: number(LIMITS.share),
    usableDepthMm: number(LIMITS.toolLengthMm),
    sharpness: number(LIMITS.sharpness),
    runOutMm: number(LIMITS.smallMm),
    depthCutMm: number(LIMITS.depthCutMm),
    holesCut: number(LIMITS.count),
    price: number(LIMITS.money),
    maxRpm: number({ above: 0, max: 100_000, unit: 'rpm' }),
    supplier: text(120),
    batch: text(120),
    shank: shankSchema,
    /** A barrel narrower than its rim: play in a guide grows once the rim is through. */
    barrelDiameterMm: number(LIMITS.diameterMm),
    /** From the rim to the closed end inside: the longest core the barrel takes. */
    boreDepthMm: number(LIMITS.toolLengthMm),
    /** From the rim to where the holder begins: barrel and shank together. */
    freeLengthMm: number(LIMITS.toolLengthMm),
    /** Slots in the barrel: cores come out easily, spindle water leaks away. */
    slotted: yesNo,
    state: oneOf(BIT_STATES),
    sharpnessLog: list(sharpnessNote, 500),
    /** No longer used, kept for its history. */
    retired: yesNo,
    retiredWhy: oneOf(BIT_ENDS),
  },
);
export interface Bit extends Document<typeof bitSchema> {}

export const machineSchema = object(
  { id, name, kind: oneOf(MACHINE_KIND_IDS) },
  {
    speeds: machineSpeedsSchema,
    stallTorqueNm: number(LIMITS.torqueNm),
    ratedPowerW: number(LIMITS.powerW),
    clutchTorqueNm: Type.Unsafe<number | null>({
      type: ['number', 'null'],
      exclusiveMinimum: LIMITS.torqueNm.above,
      maximum: LIMITS.torqueNm.max,
      description: 'a number of N·m above 0 and at most 2000, or null for no clutch',
    }),
    power: oneOf(['mains', 'mains-protected', 'battery', 'low-voltage']),
    holders: list(holderSchema, 10),
    /** A press: how far the quill comes down, most room under the chuck, spindle to column. */
    travelMm: number(LIMITS.thicknessMm),
    chuckToTableMm: number(LIMITS.thicknessMm),
    throatMm: number(LIMITS.thicknessMm),
    /** May stand in spray. */
    waterRated: yesNo,
    /** Brings water through its own spindle. */
    spindleWater: yesNo,
    /** A press: length of the feed lever, and radius of the pinion it turns. */
    leverArmMm: number(LIMITS.thicknessMm),
    pinionRadiusMm: number(LIMITS.thicknessMm),
    retired: yesNo,
  },
);
export interface Machine extends Document<typeof machineSchema> {}

/** Something between machine and bit. */
export const couplingSchema = object(
  {
    id,
    name,
    kind: oneOf(COUPLING_KINDS),
    /** The end that goes into the machine. */
    into: shankSchema,
    /** The end that takes the bit. */
    takes: holderSchema,
  },
  {
    /** How much farther it carries the bit. */
    lengthMm: number(LIMITS.toolLengthMm),
    /** Its widest: what goes into the hole must be narrower. */
    diameterMm: number(LIMITS.diameterMm),
    /** Brings water into the barrel. */
    carriesWater: yesNo,
    apart: oneOf(APART_WAYS),
    retired: yesNo,
  },
);
export interface Coupling extends Document<typeof couplingSchema> {}

export const ownedSupportSchema = object(
  { id, name, kind: oneOf(SUPPORT_IDS) },
  {
    thicknessMm: number(LIMITS.smallMm),
    widthMm: number(LIMITS.lengthMm),
    lengthMm: number(LIMITS.lengthMm),
    retired: yesNo,
  },
);
export interface OwnedSupport extends Document<typeof ownedSupportSchema> {}

export const ownedGuideSchema = object(
  { id, name, kind: text(40) },
  {
    thicknessMm: number(LIMITS.smallMm),
    /** The hole that steers the bit. */
    boreMm: number(LIMITS.diameterMm),
    retired: yesNo,
  },
);
export interface OwnedGuide extends Document<typeof ownedGuideSchema> {}

export const ownedWaterSchema = object(
  { id, name, kind: oneOf(COOLANT_IDS) },
  {
    trayLengthMm: number(LIMITS.lengthMm),
    trayWidthMm: number(LIMITS.lengthMm),
    trayDepthMm: number(LIMITS.lengthMm),
    retired: yesNo,
  },
);
export interface OwnedWater extends Document<typeof ownedWaterSchema> {}

/** What is owned beside bits and machines, by its list in a kit. */
export const KIT_PART_SCHEMAS = {
  couplings: couplingSchema,
  supports: ownedSupportSchema,
  guides: ownedGuideSchema,
  water: ownedWaterSchema,
};
export type KitPartSort = keyof typeof KIT_PART_SCHEMAS;
export const KIT_PART_SORTS = Object.keys(KIT_PART_SCHEMAS) as readonly KitPartSort[];

/** What a workshop owns; all of it travels in the job file. */
export interface Kit {
  readonly bits?: readonly Bit[];
  readonly machines?: readonly Machine[];
  readonly couplings?: readonly Coupling[];
  readonly supports?: readonly OwnedSupport[];
  readonly guides?: readonly OwnedGuide[];
  readonly water?: readonly OwnedWater[];
}
export type KitPart = NonNullable<Kit[KitPartSort]>[number];

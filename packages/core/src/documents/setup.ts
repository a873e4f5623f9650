import { COOLANT_IDS } from '../data/coolants';
import { FEED_AID_IDS } from '../data/machines/feedAids';
import { SUPPORT_IDS } from '../data/supports';
import { HOLDS, PACES, STARTS } from '../data/choices';
import { LIMITS } from '../data/schema/limits';
import { id, list, number, object, oneOf, text, yesNo, type Document } from '../data/schema/schema';

/** A rectangle on the face, its lower left corner first; it may hang over the edge. */
const patch = {
  xMm: number(LIMITS.placeMm),
  yMm: number(LIMITS.placeMm),
  widthMm: number(LIMITS.lengthMm),
  heightMm: number(LIMITS.lengthMm),
};

const pad = object(patch, { kind: oneOf(SUPPORT_IDS), thicknessMm: number(LIMITS.smallMm) });
export interface SupportPad extends Document<typeof pad> {}

/** A clamp with a round pad, by its middle. */
const clamp = object({
  xMm: number(LIMITS.placeMm),
  yMm: number(LIMITS.placeMm),
  padDiameterMm: number(LIMITS.smallMm),
  forceN: number(LIMITS.clampN),
});
export interface ClampSetup extends Document<typeof clamp> {}

const board = object({ ...patch, thicknessMm: number(LIMITS.smallMm) });
export interface BoardSetup extends Document<typeof board> {}

const support = object(
  { kind: oneOf(SUPPORT_IDS) },
  {
    thicknessMm: number(LIMITS.smallMm),
    contactFraction: number(LIMITS.share),
    edgesHeld: oneOf(['none', 'two', 'four']),
    /** Where given, the piece rests on these alone; a pad is of the support’s kind unless it says. */
    pads: list(pad, 20),
    /** How far one corner stands off a flat bed when the two beside it touch. */
    twistMm: number({ min: 0, max: 20, unit: 'mm' }),
    clamps: list(clamp, 20),
    /** Boards laid on the piece that spread what presses. */
    boards: list(board, 20),
  },
);
export interface SupportSetup extends Document<typeof support> {}

export const waterSchema = object(
  { kind: oneOf(COOLANT_IDS) },
  {
    trayLengthMm: number(LIMITS.lengthMm),
    trayWidthMm: number(LIMITS.lengthMm),
    coverMm: number({ above: 0, max: 500, unit: 'mm' }),
    extraction: yesNo,
    /** Running water is shut this far before the far face of a wall, to keep the room dry. */
    offBeforeFarFaceMm: number(LIMITS.smallMm),
  },
);
export interface WaterSetup extends Document<typeof waterSchema> {}

export const guideSchema = object(
  { kind: text(40) },
  { thicknessMm: number(LIMITS.smallMm), clearanceMm: number(LIMITS.smallMm) },
);

/** How the person means to drill it. All optional: the planner fills the rest and says so. */
export const setupSchema = object(
  {},
  {
    bit: id,
    bits: list(id, 20),
    machine: id,
    support,
    guide: guideSchema,
    hold: oneOf(HOLDS),
    start: oneOf(STARTS),
    pace: oneOf(PACES),
    sides: oneOf(['one', 'two']),
    water: waterSchema,
    rimSpeedMPerS: number(LIMITS.rimSpeedMPerS),
    contactPressureMpa: number(LIMITS.contactPressureMpa),
    /** What multiplies the hand's force. */
    feedAid: oneOf(FEED_AID_IDS),
    /** Whether the force is taken back before the far face, or held to the end. */
    exit: oneOf(['ease', 'hold']),
    /** Planned by calculation alone, whatever the log tells. */
    asNew: yesNo,
    /** What holds a drill stand. */
    standFixing: oneOf(['anchor', 'vacuum', 'prop']),
  },
);
export interface Setup extends Document<typeof setupSchema> {}

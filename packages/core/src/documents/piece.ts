import { SERVICE_KINDS } from '../data/services';
import { DAMAGES, GLASS_TREATMENTS, KEEP_OFF_KINDS, PIECE_FORMS } from '../data/choices';
import { hazardCheckSchema } from './hazardCheck';
import { holeSchema } from './hole';
import { LIMITS } from '../data/schema/limits';
import { outlineSchema } from './outline';
import {
  id,
  kinds,
  list,
  name,
  number,
  object,
  oneOf,
  points,
  text,
  textByKey,
  withFields,
  yesNo,
  type Document,
} from '../data/schema/schema';

const place = { xMm: number(LIMITS.placeMm), yMm: number(LIMITS.placeMm) };
const length = number(LIMITS.lengthMm);

const keepOffShape = kinds({
  /** By its middle. */
  circle: object({ ...place, diameterMm: length }),
  /** By its lower left corner. */
  rectangle: object({ ...place, widthMm: length, heightMm: length }),
  line: object({ pointsMm: points(2, 200, LIMITS.placeMm) }),
});
export type KeepOffShape = Document<typeof keepOffShape>;

/** Somewhere on the face that a hole must keep clear of, in the face's own coordinates. */
const keepOff = object(
  { id, kind: oneOf(KEEP_OFF_KINDS), shape: keepOffShape },
  {
    label: text(120),
    /** How far to stay away, where the person knows better than the rule. */
    marginMm: number(LIMITS.smallMm),
  },
);
export interface KeepOff extends Document<typeof keepOff> {}

/** A pipe, cable or bar that a scan found behind the face: a band as wide as it is unsure. */
const serviceBand = object(
  {
    id,
    kind: oneOf(SERVICE_KINDS),
    pointsMm: points(2, 200, LIMITS.placeMm),
    widthMm: number(LIMITS.smallMm),
    /** How far to either side the scan may be off. */
    uncertaintyMm: number(LIMITS.smallMm),
  },
  {
    label: text(120),
    /** Depth of its near side from the face; a hole that stays above it is clear of it. */
    depthMm: number(LIMITS.smallMm),
  },
);
export interface ServiceBand extends Document<typeof serviceBand> {}

/** The two edges that everything is measured from. */
const datum = object({ x: oneOf(['left', 'right']), y: oneOf(['bottom', 'top']) });
export interface Datum extends Document<typeof datum> {}

/** A picture laid under the outline: its lower left corner, size of a picture point, and turn. */
const photo = object(
  {
    id,
    ...place,
    mmPerPx: number({ above: 0, max: 1000, unit: 'mm' }),
    widthPx: number(LIMITS.pictureSidePx),
    heightPx: number(LIMITS.pictureSidePx),
  },
  {
    /** Counter-clockwise about its lower left corner. */
    turnDeg: number({ min: -360, max: 360, unit: 'degrees' }),
  },
);
export interface PiecePhoto extends Document<typeof photo> {}

const materialShare = object({ material: id, share: number(LIMITS.share) });
/** One thing the piece may turn out to be, and how likely. */
export interface Possibility extends Document<typeof materialShare> {}
export type LayerMix = Possibility;

/** One leaf of a built-up piece, from the entry face inwards; its material may be `cavity`. */
const layer = object(
  { material: id, thicknessMm: number(LIMITS.thicknessMm) },
  { mix: list(materialShare, 20) },
);
export interface Layer extends Document<typeof layer> {}

/** What was answered on the way to knowing the piece, to go on from where it was left. */
const knowing = object({ kind: text(40), answers: textByKey(100, 80, 'answers by question') });
export interface Knowing extends Document<typeof knowing> {}

/** A piece without its holes, which are documents of their own. */
export const pieceSchema = object(
  {
    id,
    name,
    form: oneOf(PIECE_FORMS),
    material: id,
    thicknessMm: number(LIMITS.thicknessMm),
    outline: outlineSchema,
  },
  {
    glassTreatment: oneOf(GLASS_TREATMENTS),
    assembled: yesNo,
    valueMoney: number(LIMITS.money),
    layers: list(layer, 50),
    checks: list(hazardCheckSchema, 200),
    /** Each measured place; thicknessMm lies among them. */
    thicknessReadingsMm: list(number(LIMITS.thicknessMm), 50),
    damage: oneOf(DAMAGES),
    spareAvailable: yesNo,
    /** Sheet or batch it is from: pieces of one sheet are alike. */
    sheet: text(80),
    /** When it was made or put up. */
    yearMade: number({ min: 0, max: 2200, unit: 'as a year' }),
    /** A spare to try on first. */
    practice: yesNo,
    /** Where nobody is sure of the material: what it may be; the plan's ranges widen. */
    couldBe: list(materialShare, 30),
    knowing,
    keepOff: list(keepOff, 200),
    /** What a scan found behind the face. */
    services: list(serviceBand, 200),
    datum,
    photo,
  },
);
export interface Piece extends Document<typeof pieceSchema> {}

/** A piece as files have it. */
export const pieceWithHolesSchema = withFields(pieceSchema, { holes: list(holeSchema, 10_000) });
export interface PieceWithHoles extends Document<typeof pieceWithHolesSchema> {}

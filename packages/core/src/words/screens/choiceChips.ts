import type { Hold, Pace, Start, GlassTreatment, PieceForm } from '../../data/choices';
import { FEED_AID_IDS, FEED_AIDS } from '../../data/machines/feedAids';
import type { Setup } from '../../documents/setup';

/** One choice of several: what is stored, and what is read. */
export interface Chip<K extends string | number> {
  readonly value: K;
  readonly label: string;
}

/** The trade's words for the choices of a setup, in their usual order. */
const chips = <K extends string>(words: Record<K, string>): readonly Chip<K>[] =>
  (Object.entries(words) as [K, string][]).map(([value, label]) => ({ value, label }));

export const HOLD_CHIPS = chips({
  freehand: 'Free hand',
  guided: 'In a guide',
  press: 'Press',
  rig: 'Rig or stand',
} satisfies Record<Hold, string>);
export const START_CHIPS = chips({
  guide: 'Guide',
  tilt: 'Tilt',
  tape: 'Tape',
  seat: 'Seat and dwell',
  pilot: 'Pilot',
} satisfies Record<Start, string>);
export const PACE_CHIPS = chips({
  gentle: 'Gentle',
  steady: 'Steady',
  brisk: 'Brisk',
} satisfies Record<Pace, string>);
export const SIDES_CHIPS = chips({ one: 'One side', two: 'Both sides' });
export const STAND_CHIPS = chips({
  anchor: 'An anchor',
  vacuum: 'Vacuum',
  prop: 'A prop',
} satisfies Record<NonNullable<Setup['standFixing']>, string>);
export const EXIT_CHIPS = chips({
  ease: 'Ease off',
  hold: 'Press on to the end',
} satisfies Record<NonNullable<Setup['exit']>, string>);
export const AID_CHIPS = FEED_AID_IDS.map((value) => ({ value, label: FEED_AIDS[value].name }));
export const EXTRACTION_CHIPS = chips({
  drawn: 'Drawn off through the barrel',
  free: 'No extraction',
});
export const FORM_CHIPS = chips({
  sheet: 'Sheet',
  slab: 'Slab',
  block: 'Block',
  vessel: 'Vessel',
  bead: 'Bead',
  wall: 'Wall',
  floor: 'Floor',
} satisfies Record<PieceForm, string>);
export const TREATMENT_CHIPS = chips({
  annealed: 'Annealed',
  unknown: 'Not known',
  tempered: 'Tempered',
  'heat-strengthened': 'Heat-strengthened',
  'chemically-strengthened': 'Chemically strengthened',
  laminated: 'Laminated',
  wired: 'Wired',
  'sealed-unit': 'Sealed double unit',
  'toughened-tableware': 'Toughened tableware',
  'glass-ceramic': 'Glass-ceramic',
} satisfies Record<GlassTreatment, string>);
export const DEPTH_CHIPS = chips({ through: 'Through', blind: 'Part way', ring: 'Ring only' });
export const FACE_CHIPS = chips({ top: 'Face', side: 'Side', base: 'Base' });

export const wordFor = <K extends string>(list: readonly Chip<K>[], value: string): string =>
  list.find((chip) => chip.value === value)?.label ?? value;

/** What lies behind the piece where the bit comes out. */
export interface Support {
  readonly name: string;
  /** k_f at the usual thickness, N/mm³ = MPa/mm; null where it holds only in contact. */
  readonly foundationNPerMm3: number;
  readonly thicknessMm: number;
  /** κ_b: how far it lets the exit face shell, 1 as with nothing behind. */
  readonly exitFactor: number;
  /** Follows the shape of what lies on it. */
  readonly follows: boolean;
  /** What water does to it. */
  readonly inWater: 'stands' | 'floats' | 'swells';
  /** Drilled into: each hole wants a fresh place. */
  readonly usedUp: boolean;
  readonly look: 'soft' | 'wood' | 'hard' | 'grain' | 'none';
  readonly note: string;
}

const SOFT = 0.9;
const FIRM = 0.6;
const HARD = 0.35;

// prettier-ignore
export const SUPPORTS = {
  sponge: { name: 'Sponge', foundationNPerMm3: 0.002, thicknessMm: 30, exitFactor: SOFT, follows: true, inWater: 'stands', usedUp: false, look: 'soft', note: 'Follows odd shapes and catches the plug; holds the exit face hardly at all.' },
  foam: { name: 'Expanded foam', foundationNPerMm3: 0.2, thicknessMm: 25, exitFactor: SOFT, follows: false, inWater: 'floats', usedUp: true, look: 'soft', note: 'Even bed for flat glass; the exit can still shell.' },
  'dense-foam-board': { name: 'Dense foam board', foundationNPerMm3: 0.4, thicknessMm: 25, exitFactor: SOFT, follows: false, inWater: 'floats', usedUp: true, look: 'soft', note: 'Firmer than packing foam, forgiving of a bent pane.' },
  'rubber-mat': { name: 'Rubber mat', foundationNPerMm3: 1.7, thicknessMm: 3, exitFactor: SOFT, follows: false, inWater: 'stands', usedUp: false, look: 'soft', note: 'Grips wet glass; thin, so put something flat below.' },
  leather: { name: 'Leather', foundationNPerMm3: 5, thicknessMm: 3, exitFactor: SOFT, follows: false, inWater: 'swells', usedUp: false, look: 'soft', note: 'A soft skin over a bench block.' },
  softwood: { name: 'Softwood board', foundationNPerMm3: 15, thicknessMm: 18, exitFactor: FIRM, follows: false, inWater: 'swells', usedUp: true, look: 'wood', note: 'Holds the exit fairly; use a fresh place for each hole.' },
  plywood: { name: 'Plywood', foundationNPerMm3: 17, thicknessMm: 18, exitFactor: FIRM, follows: false, inWater: 'swells', usedUp: true, look: 'wood', note: 'Flat and firm; swells if left wet.' },
  'mouldable-plastic': { name: 'Mouldable plastic bed', foundationNPerMm3: 20, thicknessMm: 20, exitFactor: FIRM, follows: true, inWater: 'stands', usedUp: false, look: 'hard', note: 'Takes the shape of a pebble; its wall can hold the water.' },
  'rubber-block': { name: 'Hard rubber block', foundationNPerMm3: 4, thicknessMm: 20, exitFactor: SOFT, follows: false, inWater: 'stands', usedUp: false, look: 'soft', note: 'Between foam and wood.' },
  'wet-sand': { name: 'Wet sand tray', foundationNPerMm3: 1, thicknessMm: 30, exitFactor: SOFT, follows: true, inWater: 'stands', usedUp: false, look: 'grain', note: 'Beds round ware; keep grit off the groove.' },
  'sacrificial-hard': { name: 'Sacrificial stone, glass or tile', foundationNPerMm3: 50, thicknessMm: 10, exitFactor: HARD, follows: false, inWater: 'stands', usedUp: true, look: 'hard', note: 'Best exit, only where it touches: a twisted pane touches at three points.' },
  nothing: { name: 'Nothing behind', foundationNPerMm3: 0, thicknessMm: 0, exitFactor: 1, follows: false, inWater: 'stands', usedUp: false, look: 'none', note: 'The exit face is free to shell, and the plug falls.' },
} as const satisfies Record<string, Support>;

/** k_f at a thickness, N/mm³: twice as thick is half as stiff. */
export function supportModulus(
  id: SupportId,
  thicknessMm: number = SUPPORTS[id].thicknessMm,
): number {
  const { foundationNPerMm3, thicknessMm: usual } = SUPPORTS[id];
  return thicknessMm > 0 ? (foundationNPerMm3 * usual) / thicknessMm : foundationNPerMm3;
}

export type SupportId = keyof typeof SUPPORTS;
export const SUPPORT_IDS = Object.keys(SUPPORTS) as readonly SupportId[];

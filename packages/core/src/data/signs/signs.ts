import type { MaterialClass } from '../choices';

/** What a sign asks of the run. */
export type SignEffect =
  | { readonly kind: 'force'; readonly factor: number }
  /** Motor off, look. */
  | { readonly kind: 'stop' }
  | { readonly kind: 'cool' }
  | { readonly kind: 'lift' }
  | { readonly kind: 'halt'; readonly phase: 'water-change' | 'core-break' | 'chisel' }
  /** Motor off, look; what lies ahead then is steel. */
  | { readonly kind: 'bar' }
  | { readonly kind: 'nearly-through' };

/** What a sign is read against. */
export interface SignScene {
  readonly class: MaterialClass;
  readonly solidBit: boolean;
  /** Water that stands clouds; running water carries the fines off. */
  readonly standingWater: boolean;
  readonly opensFarFace: boolean;
}

export interface Sign {
  readonly by: 'eye' | 'ear' | 'hand';
  /** On the button: a few words. */
  readonly title: string;
  readonly means: string;
  /** One thing to do. */
  readonly todo: string;
  readonly level: 'fine' | 'caution' | 'stop';
  readonly effect: SignEffect | null;
  /** Later it is asked whether what was done helped. */
  readonly followUp: boolean;
  readonly arises: (scene: SignScene) => boolean;
}

const always = (): boolean => true;
const masonry = ({ class: kind }: SignScene): boolean => kind === 'masonry';
const core = ({ solidBit }: SignScene): boolean => !solidBit;

/** Less or more force by about what a hand can tell apart. */
const EASE = 0.8;
const PRESS = 1.15;

// prettier-ignore
export const SIGNS = {
  'plume': { by: 'eye', title: 'Milky plume', means: 'It is cutting.', todo: 'Carry on.', level: 'fine', effect: null, followUp: false, arises: (s) => !masonry(s) },
  'even-slurry': { by: 'eye', title: 'Even, pale slurry', means: 'The water is about right.', todo: 'Carry on.', level: 'fine', effect: null, followUp: false, arises: masonry },
  'steady-grind': { by: 'ear', title: 'Smooth, steady grind', means: 'It is cutting.', todo: 'Carry on.', level: 'fine', effect: null, followUp: false, arises: always },
  'plume-fades': { by: 'eye', title: 'No plume, no progress', means: 'A bald or glazed rim, a harder piece than thought, or too little force.', todo: 'Press a little harder for 10 s; if nothing comes, lift and look at the rim.', level: 'caution', effect: { kind: 'force', factor: PRESS }, followUp: true, arises: always },
  'thick-slurry': { by: 'eye', title: 'Thick slurry, paste', means: 'Too little water, or fed too fast.', todo: 'More water; lift and flush.', level: 'caution', effect: { kind: 'lift' }, followUp: true, arises: always },
  'clear-water': { by: 'eye', title: 'Water runs almost clear', means: 'It is not cutting, or the water is too much.', todo: 'Press a little harder, or less water.', level: 'caution', effect: { kind: 'force', factor: PRESS }, followUp: true, arises: ({ standingWater }) => !standingWater },
  'murky': { by: 'eye', title: 'Cannot see the mark', means: 'The water is too murky.', todo: 'Motor off. Change the water.', level: 'caution', effect: { kind: 'halt', phase: 'water-change' }, followUp: true, arises: ({ standingWater }) => standingWater },
  'screech': { by: 'ear', title: 'High, thin screech', means: 'Running dry, or polishing.', todo: 'Water now: lift and let it in. Then a little more force.', level: 'caution', effect: { kind: 'lift' }, followUp: true, arises: always },
  'labours': { by: 'ear', title: 'Pitch falls, motor labours', means: 'Too much force, or the core binds.', todo: 'Ease the force; lift and flush; is it straight?', level: 'caution', effect: { kind: 'force', factor: EASE }, followUp: true, arises: always },
  'chatter': { by: 'ear', title: 'Chatter, knocking', means: 'Catching on an edge, a tie, a bar, a loose core, or it wobbles.', todo: 'Motor off at once. Look.', level: 'stop', effect: { kind: 'stop' }, followUp: true, arises: always },
  'wanders': { by: 'hand', title: 'Bit wanders', means: 'There is no groove yet.', todo: 'Motor off. Start again tilted, or in a guide.', level: 'stop', effect: { kind: 'stop' }, followUp: true, arises: always },
  'wobble': { by: 'eye', title: 'Wobble, ring too wide', means: 'Run-out: a bent shank, an off-centre cup, or badly chucked.', todo: 'Motor off. Chuck it anew; if it stays, use another bit.', level: 'stop', effect: { kind: 'stop' }, followUp: true, arises: always },
  'hollow': { by: 'ear', title: 'Hollow tone, crackle', means: 'It is about to break through.', todo: 'Least force, keep it turning, hold the plug.', level: 'caution', effect: { kind: 'nearly-through' }, followUp: false, arises: ({ opensFarFace }) => opensFarFace },
  'give': { by: 'hand', title: 'Sudden give', means: 'It is through, or the piece broke.', todo: 'Stop pressing. Look which.', level: 'stop', effect: { kind: 'stop' }, followUp: false, arises: always },
  'tick': { by: 'ear', title: 'A tick; a line runs', means: 'It has cracked.', todo: 'Motor off. Leave it wet; do not lift it by the drilled side.', level: 'stop', effect: { kind: 'stop' }, followUp: false, arises: always },
  'hot': { by: 'hand', title: 'Steam, smell, hot bit', means: 'It overheats.', todo: 'Motor off. Let it cool by itself: no cold water on hot glass or stone. Then more water.', level: 'stop', effect: { kind: 'cool' }, followUp: true, arises: always },
  'whirls': { by: 'eye', title: 'Water whirls out', means: 'It turns too fast for the water to stay.', todo: 'Slow down a step.', level: 'caution', effect: null, followUp: true, arises: ({ standingWater }) => standingWater },
  'core-rubs': { by: 'eye', title: 'Depth stops, core rubs', means: 'The core has met the closed end of the barrel.', todo: 'Motor off. Snap the core, clear it, go on.', level: 'caution', effect: { kind: 'halt', phase: 'core-break' }, followUp: true, arises: core },
  'metal': { by: 'eye', title: 'Bright metal in the slurry', means: 'A reinforcing bar.', todo: 'Motor off. If it may be stressed or hold the structure: no further without the engineer.', level: 'stop', effect: { kind: 'bar' }, followUp: true, arises: masonry },
  'tie': { by: 'eye', title: 'Wall tie, nail or mesh', means: 'Thin metal across the cut: it catches and throws the drill.', todo: 'Motor off. Break out the core, cut or bend the metal clear with the chisel, go on at the same depth.', level: 'stop', effect: { kind: 'halt', phase: 'chisel' }, followUp: true, arises: masonry },
  'sticks': { by: 'hand', title: 'Bit sticks', means: 'The core is wedged, fines packed, or it drifted.', todo: 'Motor off. Turn it by hand both ways; flush. Never jerk it with the motor.', level: 'stop', effect: { kind: 'stop' }, followUp: true, arises: always },
  'twists': { by: 'hand', title: 'Drill twists in the hands', means: 'It jammed.', todo: 'Let go of the trigger. Brace; lowest clutch setting that works.', level: 'stop', effect: { kind: 'stop' }, followUp: true, arises: always },
  'leans': { by: 'eye', title: 'The hole leans', means: 'The guide slipped.', todo: 'Before half depth: stop and set it right. Later it only jams: go on as it stands.', level: 'caution', effect: null, followUp: true, arises: always },
} as const satisfies Record<string, Sign>;

export type SignId = keyof typeof SIGNS;
export const SIGN_IDS = Object.keys(SIGNS) as readonly SignId[];
export const isSignId = (id: string): id is SignId => Object.hasOwn(SIGNS, id);

/** The signs that can show here, by the sense that takes them in. */
export const signsHere = (scene: SignScene): readonly (Sign & { readonly id: SignId })[] =>
  SIGN_IDS.map((id) => ({ id, ...(SIGNS[id] as Sign) })).filter((sign) => sign.arises(scene));

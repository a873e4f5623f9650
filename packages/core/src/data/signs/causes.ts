import { logistic } from '../../math/logistic';
import type { SignId } from './signs';

/** How the run stands, as far as it speaks for one cause or another. */
export interface RunScene {
  /** s of the rim, 1 new to 0 bald. */
  readonly sharpness: number;
  /** Depth over the whole way, 0 to 1. */
  readonly depthShare: number;
  /** How fast it goes beside the plan. */
  readonly rateFactor: number;
  /** Cutting since the last lift, over the planned stretch between two. */
  readonly sinceLift: number;
  /** Fines in the water, over what hides the mark; 0 where water runs. */
  readonly turbidity: number;
  /** Pressed beside the plan. */
  readonly forceFactor: number;
  /** Core in the barrel over what it takes. */
  readonly coreShare: number;
  /** Temperature rise over what the piece bears; from the plan. */
  readonly heatShare: number;
  readonly masonry: boolean;
  readonly solidBit: boolean;
  /** The groove is not full yet. */
  readonly seating: boolean;
  readonly freehand: boolean;
}

/** One thing that may be wrong, how common it is as the run stands, and how it shows itself. */
export interface Cause {
  readonly title: string;
  readonly todo: string;
  /** Any scale: how often it comes, beside the others, as the run stands. */
  readonly prior: (scene: RunScene) => number;
  /** P(sign shows | this cause); what is not named shows by itself, rarely. */
  readonly shows: Partial<Record<SignId, number>>;
  readonly source: string;
}

/** How often a sign shows, or is taken to show, where nothing accounts for it. */
export const BY_ITSELF = 0.03;

const RULE = 'General practice: how this fault shows at the bench';
const MODEL = 'Odds from the plan’s own figure; signs by workshop rule';

// prettier-ignore
export const CAUSES = {
  'all-well': { title: 'All well', todo: 'Carry on.', prior: () => 1, source: RULE,
    shows: { plume: 0.9, 'even-slurry': 0.9, 'steady-grind': 0.9, tick: 0.005, hot: 0.005, metal: 0.005, 'core-rubs': 0.005, sticks: 0.01, twists: 0.01, wobble: 0.01, give: 0.01 } },
  'worn-rim': { title: 'The rim is worn or glazed', todo: 'Lift and look at the rim; dress it in an abrasive block, or change the bit.', source: MODEL,
    prior: ({ sharpness, rateFactor }) => 1.2 * logistic((0.55 - sharpness) / 0.12) + 0.4 * logistic((0.6 - rateFactor) / 0.15) + 0.05,
    shows: { 'plume-fades': 0.7, 'clear-water': 0.6, screech: 0.4, hot: 0.25 } },
  'too-little-force': { title: 'Too little force', todo: 'Press a little harder, evenly, for 10 s.', source: MODEL,
    prior: ({ forceFactor, freehand }) => (freehand ? 0.35 : 0.2) * (forceFactor < 0.95 ? 2 : 1),
    shows: { 'plume-fades': 0.6, 'clear-water': 0.6, screech: 0.4 } },
  'harder-piece': { title: 'The piece is harder than thought', todo: 'Look again at what it is; the plan follows.', source: MODEL,
    prior: ({ rateFactor }) => 0.06 + 0.3 * logistic((0.6 - rateFactor) / 0.15),
    shows: { 'plume-fades': 0.6, screech: 0.3, hot: 0.2, 'clear-water': 0.4 } },
  'too-much-force': { title: 'Too much force', todo: 'Ease off by a fifth.', source: RULE,
    prior: ({ forceFactor, freehand }) => (freehand ? 0.3 : 0.15) * (forceFactor > 1.05 ? 2 : 1),
    shows: { labours: 0.7, 'thick-slurry': 0.3, hot: 0.3, twists: 0.15, chatter: 0.1 } },
  'too-little-water': { title: 'Too little water at the rim', todo: 'Lift, let water in; more of it from now on.', source: MODEL,
    prior: ({ sinceLift, heatShare }) => 0.15 + 0.3 * logistic((sinceLift - 1.3) / 0.3) + 0.2 * Math.min(1, heatShare),
    shows: { screech: 0.7, 'thick-slurry': 0.6, hot: 0.5, sticks: 0.15 } },
  'murky-water': { title: 'The water is full of fines', todo: 'Motor off; change the water.', source: MODEL,
    prior: ({ turbidity }) => 0.02 + 0.8 * logistic((turbidity - 0.8) / 0.15),
    shows: { murky: 0.9, 'thick-slurry': 0.3 } },
  'overheating': { title: 'It runs hot', todo: 'Stop; let it cool by itself; more water, less speed.', source: MODEL,
    prior: ({ heatShare }) => 0.03 + 0.3 * logistic((heatShare - 0.7) / 0.15),
    shows: { hot: 0.9, screech: 0.3, tick: 0.15 } },
  'too-fast': { title: 'Too fast', todo: 'Slow down a step.', source: RULE, prior: () => 0.08,
    shows: { whirls: 0.85, hot: 0.2, screech: 0.2, chatter: 0.1 } },
  'no-groove': { title: 'No groove yet', todo: 'Stop; start again tilted, or in a guide.', source: MODEL,
    prior: ({ seating, freehand }) => (seating ? (freehand ? 0.6 : 0.2) : 0.01),
    shows: { wanders: 0.9, chatter: 0.2 } },
  'run-out': { title: 'The bit runs out of true', todo: 'Stop; chuck it anew; if it stays, another bit.', source: RULE, prior: () => 0.08,
    shows: { wobble: 0.8, chatter: 0.35, wanders: 0.25 } },
  'core-bottomed': { title: 'The core fills the barrel', todo: 'Snap the core, clear it, go on.', source: MODEL,
    prior: ({ coreShare, solidBit }) => (solidBit ? 0 : 0.01 + 0.5 * logistic((coreShare - 0.95) / 0.05)),
    shows: { 'core-rubs': 0.85, 'plume-fades': 0.4, 'clear-water': 0.3 } },
  'core-wedged': { title: 'The core or packed fines bind', todo: 'Motor off; turn by hand both ways; flush.', source: MODEL,
    prior: ({ depthShare, solidBit, sinceLift }) => (solidBit ? 0.02 : 0.05 + 0.15 * depthShare) + 0.1 * logistic((sinceLift - 1.5) / 0.3),
    shows: { sticks: 0.6, labours: 0.5, twists: 0.35, chatter: 0.25 } },
  'leaning': { title: 'The guide slipped: it leans', todo: 'Before half depth set it right; later go on gently.', source: RULE,
    prior: ({ freehand }) => (freehand ? 0.12 : 0.05),
    shows: { leans: 0.9, labours: 0.35, sticks: 0.3 } },
  'steel': { title: 'A reinforcing bar', todo: 'Stop. Ask the engineer if it may hold the structure.', source: RULE,
    prior: ({ masonry, rateFactor }) => (masonry ? 0.06 + 0.15 * logistic((0.5 - rateFactor) / 0.15) : 0),
    shows: { metal: 0.8, 'plume-fades': 0.5, chatter: 0.5, twists: 0.3, 'clear-water': 0.2 } },
  'tie': { title: 'A wall tie, nail or mesh', todo: 'Stop. Break out the core and chisel the metal clear.', source: RULE,
    prior: ({ masonry, depthShare }) => (masonry ? 0.03 + 0.05 * logistic((depthShare - 0.3) / 0.1) : 0),
    shows: { tie: 0.85, chatter: 0.7, metal: 0.3, sticks: 0.2, twists: 0.3 } },
  'nearly-through': { title: 'About to break through', todo: 'Least force; keep it turning; hold the plug.', source: MODEL,
    prior: ({ depthShare }) => 0.02 + 0.6 * logistic((depthShare - 0.9) / 0.04),
    shows: { hollow: 0.85, give: 0.5, chatter: 0.1 } },
  'cracked': { title: 'The piece has cracked', todo: 'Stop; leave it wet; look along the edge with a light from the side.', source: RULE, prior: () => 0.03,
    shows: { tick: 0.8, give: 0.4, chatter: 0.15 } },
} as const satisfies Record<string, Cause>;

export type CauseId = keyof typeof CAUSES;
export const CAUSE_IDS = Object.keys(CAUSES) as readonly CauseId[];

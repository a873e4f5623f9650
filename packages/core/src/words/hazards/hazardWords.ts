import type { Variant } from '../../documents/variant';
import type { AnswerCode, Found, HazardCode } from '../../setup/hazards/judgeHazards';
import { clashText } from '../layout/serviceWords';
import { formatForce, formatMass, formatRpm, formatTorque } from '../units/formatQuantity';
import type { UnitSystem } from '../../data/unitSystem';

/** What an answer is called, and what to write with it where it counts only in writing. */
export interface AnswerWords {
  readonly label: string;
  readonly asks?: string;
}

export interface HazardWords<Code extends HazardCode> {
  readonly title: string;
  /** What was found, one sentence or two a finding. */
  readonly message: {
    readonly [F in Found<Code>['found']]: (
      found: Variant<Found<Code>, 'found', F>,
      units: UnitSystem,
    ) => string;
  };
  readonly answers: {
    readonly [A in AnswerCode<Code>]: AnswerWords | ((found: Found<Code>) => AnswerWords);
  };
}

const SCAN = 'Which scanner, who scanned, how deep';
const BURSTS =
  'It cannot be drilled. Order the pane with the hole in it before it is treated, or use annealed glass.';

const massOf = (massKg: number | null, units: UnitSystem): string =>
  massKg === null ? '' : ` of about ${formatMass(massKg, units)}`;
const notAlone = (why: string): string =>
  `One person is not enough for ${why}. The second watches water and depth.`;
const stance = (jamTorqueNm: number, clutch: string, units: UnitSystem): string =>
  `Jammed, it twists with ${formatTorque(jamTorqueNm, units)}. Side handle on, both hands, feet apart, elbow not behind the drill${clutch}.`;
const maskFor = (why: string): string =>
  `${why}. Respirator for fine dust (class P3 or N100), extraction where it runs dry, wet clean-up, children and others away.`;
const residualCurrent = (bath: string): string =>
  `Test the residual-current device, leave a drip loop in the lead, keep the tool from under the water.${bath} A battery or water-rated tool is better.`;
const leadGlaze = (dry: string): string =>
  `Old or folk earthenware may be lead-glazed: ${dry}wet only, wipe up wet, wash hands, and no food from it afterwards.`;

/** What every hazard says, by what it found. */
export const HAZARD_WORDS: { readonly [Code in HazardCode]: HazardWords<Code> } = {
  'strengthened-glass': {
    title: 'Strengthened glass',
    message: {
      tempered: () =>
        `Tempered glass bursts into crumbs the moment the rim reaches its inner tension. ${BURSTS}`,
      'heat-strengthened': () =>
        `Heat-strengthened glass runs to pieces when its skin is cut through. ${BURSTS}`,
      'chemically-strengthened': () =>
        `Chemically strengthened glass breaks when its thin skin is cut; it can look clear in a polariser test. ${BURSTS}`,
      'toughened-tableware': () =>
        `Toughened tableware shatters violently when its skin is cut. ${BURSTS}`,
      'glass-ceramic': () =>
        `Glass-ceramic of a cooking top is held in stress and shatters when drilled. ${BURSTS}`,
    },
    answers: {},
  },
  'wired-or-sealed-glass': {
    title: 'Wired glass or sealed unit',
    message: {
      wired: () =>
        'Wired glass cracks from the mesh as the rim cuts it. It cannot be drilled: have a new pane made with the hole.',
      'sealed-unit': () =>
        'A sealed double unit loses its seal and its gas when either pane is pierced. Have a unit made with the opening in it.',
    },
    answers: {},
  },
  'unknown-treatment': {
    title: 'Is this glass tempered?',
    message: {
      'not-said': () =>
        'Nobody has said how this pane was treated. Tempered glass bursts when drilled. Presume it is tempered if it came from a car, a shower, a door, an oven or a table top, or has a stamp in a corner.',
    },
    answers: {
      'label-annealed': { label: 'A label says annealed' },
      'maker-annealed': { label: 'Its maker says annealed' },
      'polariser-clear': { label: 'Polariser test clear, after it showed a tempered pane' },
    },
  },
  'hollow-glass': {
    title: 'Bottle, blown or fused glass',
    message: {
      fused: () =>
        'Fused or blown work that was not slowly annealed carries stress of its own and breaks more often.',
      bottle: () =>
        'A bottle or jar is presumed annealed. Tumblers and tableware may be toughened.',
      tableware: () =>
        'Tableware and oven ware may be toughened all over: it then bursts when its skin is cut. No home test is certain.',
    },
    answers: {
      'annealing-known': { label: 'It was annealed in a kiln' },
      'annealing-not-known': { label: 'Not known: I accept the higher odds' },
      'bottle-or-jar': { label: 'It is a bottle or jar' },
      'maker-not-toughened': {
        label: 'Its maker says it is not toughened',
        asks: 'Who says so, and where',
      },
    },
  },
  'laminated-glass': {
    title: 'Laminated glass',
    message: {
      laminated: () =>
        'Only laminated glass of annealed plies can be drilled: each ply from its own side, water only, no solvent. If the plies may be strengthened, stop.',
    },
    answers: { 'annealed-plies': { label: 'Its plies are annealed' } },
  },
  'built-in-stress': {
    title: 'Cracked, chipped or mended',
    message: {
      crack: () =>
        'A crack runs on as soon as the rim shakes it. Nothing is drilled into it or beside it.',
      mended: () =>
        'A mended piece lets go at the join. Expect it to break more often; keep the join out of the water for long.',
      'edge-chip': () =>
        'A chip at the edge is where the next crack starts. Ease it with wet abrasive first, and expect more breakage.',
    },
    answers: {
      'crack-away': {
        label: 'It ends far away: five hole diameters or more',
        asks: 'Where it runs, and how far off',
      },
      'seen-and-accepted': { label: 'Looked at, and I accept the odds' },
    },
  },
  'hidden-services': {
    title: 'What runs in this wall or floor?',
    message: {
      'not-scanned': () =>
        'Nobody has recorded a scan here. Pipes and cables hide in walls and floors, and at every depth. Gas and electricity belong to licensed people; check your local rules.',
    },
    answers: {
      'scanned-clear': { label: 'Scanned: nothing near', asks: SCAN },
      'scanned-marked': { label: 'Scanned: marked, and clear of it', asks: SCAN },
      isolated: {
        label: 'Supplies isolated by a licensed person',
        asks: 'Which supplies, and who isolated them',
      },
    },
  },
  'service-clash': {
    title: 'The hole runs into what the scan found',
    message: {
      'in-the-way': ({ worst, more }, units) =>
        `${clashText(worst, units)}${more > 0 ? ` ${more} more lie in its way.` : ''} Move the hole, or scan again nearer.`,
    },
    answers: {
      'engineer-allows': {
        label: 'An engineer allows this bar to be cut',
        asks: 'Who allowed it, and when',
      },
    },
  },
  'post-tension': {
    title: 'Is this slab post-tensioned?',
    message: {
      'concrete-floor': () =>
        'A post-tensioned slab must never be cored: a cut tendon bursts out. If nobody knows, nobody drills.',
    },
    answers: {
      'on-the-ground': { label: 'It lies on the ground: a pad or path' },
      'not-post-tensioned': {
        label: 'Known not to be post-tensioned',
        asks: 'Who says so, from which drawing',
      },
    },
  },
  structure: {
    title: 'Bars, lintels and what it carries',
    message: {
      concrete: () =>
        'Locate the bars and miss them; cutting one, or a big hole near a support, is an engineer’s decision. If steel shows, stop.',
      masonry: () =>
        'A hole this size is not cut near a lintel, a bearing, a chimney or in a party wall without an engineer’s word.',
    },
    answers: {
      'bars-missed': ({ found }) => ({
        label: found === 'concrete' ? 'Bars located and missed' : 'Clear of all of these',
      }),
      'engineer-agreed': { label: 'An engineer agreed', asks: 'Who, and to what' },
    },
  },
  'asbestos-era': {
    title: 'Put up in the years of asbestos?',
    message: {
      'may-hold-asbestos': ({ safeFromYear, dated }) =>
        `Tiles, adhesives, boards and plasters put up before about ${safeFromYear} may hold asbestos${dated ? '' : ', and nobody has said when this was'}. A test or survey comes first; check your local rules.`,
    },
    answers: {
      'survey-clear': { label: 'Tested: none in it', asks: 'Which test or survey, when' },
      newer: ({ safeFromYear }) => ({
        label: `It is newer than ${safeFromYear}`,
        asks: 'How you know',
      }),
    },
  },
  'lead-glaze': {
    title: 'Lead in the glaze?',
    message: { dry: () => leadGlaze('not dry, '), wet: () => leadGlaze('') },
    answers: { 'no-food-after': { label: 'Wet only, and no food from it after' } },
  },
  'dry-glass': {
    title: 'Glass or glaze run dry',
    message: {
      dry: ({ material }) =>
        `${material} is not drilled dry with this bit: the ring heats and cracks it, and the bit burns. Choose any means of water.`,
      'dry-tile': ({ material }) =>
        `${material} is not drilled dry with this bit: the ring heats and cracks it, and the bit burns. Choose any means of water, or a bit made for dry tile.`,
    },
    answers: {},
  },
  overspeed: {
    title: 'Faster than the bit stands',
    message: {
      'over-its-limit': ({ rpm, bitMaxRpm }) =>
        `This machine turns no slower than ${formatRpm(rpm)}; the bit is made for ${formatRpm(bitMaxRpm)} at most and may fly apart. Use a slower machine or another bit.`,
    },
    answers: {},
  },
  dust: {
    title: 'Dust',
    message: {
      'quartz-dry': () =>
        'Engineered quartz is nearly all silica: its dry dust scars lungs quickly. It is not drilled dry.',
      silica: ({ material }) => maskFor(`${material} holds silica`),
      harmful: ({ material }) => maskFor(`${material} dust harms lungs`),
    },
    answers: {
      'mask-and-extraction': { label: 'Respirator on, extraction or water ready' },
    },
  },
  'fibrous-stone': {
    title: 'Fibrous stone',
    message: {
      dry: () => 'Jade and serpentine can hold mineral fibres: wet only.',
      wet: () =>
        'Jade and the serpentine sold as it can hold mineral fibres. Keep it wet to the end, rinse and wipe the slurry up wet.',
    },
    answers: { 'wet-to-the-end': { label: 'Kept wet, cleaned up wet' } },
  },
  hammer: {
    title: 'Is the hammer off?',
    message: {
      hammer: () =>
        'Rotation only: one blow of the hammer breaks the rim and the piece. Look again after the hammer was used to break out a core.',
    },
    answers: {
      'rotation-only': { label: 'Set to rotation only' },
      'no-hammer': { label: 'This drill has no hammer' },
    },
  },
  kickback: {
    title: 'If it jams',
    message: {
      grinder: () =>
        'A core bit on an angle grinder: only within the bit’s own speed limit, both hands on it, and someone else on the water.',
      'beyond-hands': ({ jamTorqueNm, handsNm }, units) =>
        `Jammed, this machine twists with ${formatTorque(jamTorqueNm, units)} and no clutch slips; two hands hold about ${formatTorque(handsNm, units)}. Put it on a stand, or use one with a slip clutch.`,
      clutch: ({ jamTorqueNm }, units) =>
        stance(jamTorqueNm, ', slip clutch at its lowest setting that works', units),
      'no-clutch': ({ jamTorqueNm }, units) => stance(jamTorqueNm, '', units),
    },
    answers: {
      'limit-and-two-hands': { label: 'Within the limit, two hands, helper on water' },
      'handle-and-stance': ({ found }) => ({
        label: found === 'clutch' ? 'Side handle, stance, clutch set' : 'Side handle and stance',
      }),
    },
  },
  'vacuum-stand': {
    title: 'What holds the stand',
    message: {
      'on-wall': () =>
        'On a wall or ceiling a stand is never held by vacuum alone: a power cut drops it. Anchor it.',
      'on-face': () =>
        'Vacuum holds only on a sound smooth face. Watch the gauge; think what happens when the power fails.',
    },
    answers: { 'gauge-watched': { label: 'Face sound, gauge in sight' } },
  },
  'mains-and-water': {
    title: 'Mains power and water',
    message: {
      mains: () => residualCurrent(''),
      'mains-and-bath': () => residualCurrent(' No hand in the bath: hold the piece by a fixture.'),
      protected: () => 'Press the test button of the protective plug before each day’s work.',
    },
    answers: {
      'rcd-tested': { label: 'Tested, and the lead loops below the socket' },
      'plug-tested': { label: 'Plug tested today' },
    },
  },
  'falling-core': {
    title: 'Where the core falls',
    message: {
      'through-floor': ({ massKg }, units) =>
        `The core${massOf(massKg, units)} drops into the room below: catch it, tape it, bar the way, a second person there.`,
      'through-wall': ({ massKg }, units) =>
        `The core${massOf(massKg, units)} can shoot out of the far face: look behind, bar the way, support the last of it.`,
      'into-assembly': () =>
        'The plug drops inside and can break what is below: tape it, or hold something soft under it.',
    },
    answers: {
      'below-barred': { label: 'Catch in place, nobody below' },
      caught: { label: 'It will be caught' },
    },
  },
  'two-people': {
    title: 'A job for two',
    message: {
      pressing: ({ feedForceN }, units) =>
        notAlone(`pressing with ${formatForce(feedForceN, units)}`),
      holding: ({ jamTorqueNm }, units) =>
        notAlone(`holding ${formatTorque(jamTorqueNm, units)} when it jams`),
      lifting: ({ coreMassKg }, units) =>
        notAlone(`lifting a core of ${formatMass(coreMassKg, units)}`),
      'three-things': () => notAlone('drill, water and the depth mark at once'),
    },
    answers: {
      'two-here': { label: 'There are two of us' },
      'aid-used': { label: 'A stand or feed aid takes it' },
    },
  },
  height: {
    title: 'Above the shoulder',
    message: {
      'above-shoulder': () =>
        'If this is above your shoulder, stand on a platform with both hands free. A core drill is never used on a ladder.',
    },
    answers: {
      platform: { label: 'On a platform' },
      'below-shoulder': { label: 'It is below my shoulder' },
    },
  },
  eyes: {
    title: 'Eyes',
    message: {
      'chips-fly': () =>
        'Chips and spray fly without warning. Glasses or goggles on before the motor.',
    },
    answers: { 'eyes-covered': { label: 'Eye protection is on' } },
  },
  slurry: {
    title: 'Slurry',
    message: {
      alkaline: () =>
        'Masonry slurry is alkaline on skin, slippery and stains. Not down the drain: let it settle, bag the solids.',
    },
    answers: {},
  },
  noise: {
    title: 'A long run',
    message: {
      long: ({ minutes }) =>
        `About ${Math.round(minutes)} minutes of cutting: hearing protection, and a rest for the hands.`,
    },
    answers: {},
  },
  'glass-handling': {
    title: 'Handling glass',
    message: {
      gloves: () => 'Cut-resistant gloves to carry it; none near the spinning bit.',
    },
    answers: {},
  },
  'hot-piece': {
    title: 'After a dry spell',
    message: {
      hot: () =>
        'If the groove has run dry and hot, stop and let it cool by itself: cold water on it cracks the piece.',
    },
    answers: {},
  },
};

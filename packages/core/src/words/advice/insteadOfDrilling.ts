import { isByHand } from '../../data/holds';
import { isBuilding } from '../../data/pieceForms';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import type { Material } from '../../data/materials/material';
import type { Plan, WarningCode } from '../../documents/plan';
import { oddsInWords } from '../odds';
import type { PurposeKind } from '../../layout/purposes/purposes';

export const WAYS = [
  'find-out',
  'practise',
  'order-drilled',
  'glue',
  'clamp',
  'go-round',
  'other-piece',
  'other-way',
] as const;
export type Way = (typeof WAYS)[number];

export interface Alternative {
  readonly way: Way;
  readonly title: string;
  readonly detail: string;
}

/** Whether to drill at all: what speaks against it, and what can be done instead. */
export interface Instead {
  /** must: a stop stands · consider: the odds are poor · fine: nothing speaks against it. */
  readonly verdict: 'must' | 'consider' | 'fine';
  readonly why: readonly string[];
  readonly alternatives: readonly Alternative[];
}

/** From here on a loss is likely enough to think again. */
const POOR_ODDS = 0.03;
const GRAVE: ReadonlySet<WarningCode> = new Set([
  'chip-wider-than-allowed',
  'does-not-cut',
  'exit-force-below-glaze',
  'overheats',
  'wrong-bit-for-material',
]);

/** Stops that a turn of a knob settles speak for nothing here. */
const SETTINGS: ReadonlySet<string> = new Set(['hammer']);

const FIND_OUT: Alternative = {
  way: 'find-out',
  title: 'Find out first',
  detail:
    'A mark in a corner, its maker’s word, or two polarising filters: a few minutes, step by step.',
};

type Known = {
  readonly piece: Pick<
    Piece,
    'form' | 'assembled' | 'spareAvailable' | 'glassTreatment' | 'practice'
  >;
  readonly hole: Pick<Hole, 'purpose'>;
  readonly material: Pick<Material, 'class' | 'name'>;
};

/** An honest page: what speaks against drilling this, and the other ways. */
export function insteadOfDrilling(plan: Plan, known: Known): Instead {
  const stops = plan.gates.filter((gate) => gate.level === 'stop' && !SETTINGS.has(gate.code));
  const grave = plan.warnings.filter((warning) => GRAVE.has(warning.code));
  const poor = plan.crackProbability >= POOR_ODDS;
  const why = [
    ...stops.map(({ title, message }) => `${title}${title.endsWith('?') ? '' : ':'} ${message}`),
    ...(poor
      ? [
          `At least ${oddsInWords(plan.crackProbability)} crack, before bending on the support is counted.`,
        ]
      : []),
    ...grave.map((warning) => warning.message),
  ];
  const never = stops.some((gate) => gate.answers.length === 0);
  return {
    verdict: stops.length > 0 ? 'must' : poor || grave.length > 0 ? 'consider' : 'fine',
    why,
    alternatives: [
      ...(stops.some((gate) => gate.helpedByKnowing) ? [FIND_OUT] : []),
      ...(never || known.piece.practice ? [] : [practise(known)]),
      ...orderDrilled(known, never),
      ...byPurpose(known.hole.purpose?.kind),
      ...(never ? [] : [otherWay(plan)]),
      {
        way: 'other-piece',
        title: 'A different piece',
        detail:
          known.material.class === 'glass'
            ? 'Annealed glass, or clear plastic sheet, takes the hole easily and costs little.'
            : 'A softer stone, a piece with a hole in it already, or a spare you would not miss.',
      },
    ],
  };
}

const practise = ({ piece }: Known): Alternative => ({
  way: 'practise',
  title: 'Practise on a spare first',
  detail: piece.spareAvailable
    ? 'You have a spare of the same kind: drill it first, with the same bit, water and backing.'
    : 'An offcut or a cheap piece of the same kind and thickness shows more than any number here.',
});

function orderDrilled({ material, piece }: Known, never: boolean): Alternative[] {
  if (isBuilding(piece)) {
    return [
      {
        way: 'order-drilled',
        title: 'Have it cored',
        detail:
          'A coring firm brings the rig, the scan and the insurance. For one big hole it often costs less than the bit.',
      },
    ];
  }
  const glass = material.class === 'glass';
  return [
    {
      way: 'order-drilled',
      title: never && glass ? 'Order it made with the hole' : 'Order it drilled',
      detail: glass
        ? 'A glass shop drills before it tempers or laminates, to your drawing: give diameter, place and edge distances.'
        : 'A stone or tile shop has the machine, the water and the practice; bring the part that must fit.',
    },
  ];
}

const GLUE = (what: string): Alternative => ({ way: 'glue', title: 'Glue it on', detail: what });
const CLAMP = (what: string): Alternative => ({ way: 'clamp', title: 'Clamp it', detail: what });
const ROUND = (what: string): Alternative => ({
  way: 'go-round',
  title: 'Go round it',
  detail: what,
});

/** Each purpose's own ways without a hole. */
const BY_PURPOSE: Readonly<Record<PurposeKind, readonly Alternative[]>> = {
  pipe: [ROUND('Over the edge, through the frame or an existing opening; box the pipe in.')],
  'tank-fitting': [CLAMP('A siphon or an overflow that hangs over the rim needs no hole.')],
  'drain-flow': [CLAMP('A siphon over the rim starts and stops by the level.')],
  drainage: [ROUND('A plain pot inside, standing on coarse grit; empty what gathers below.')],
  'tube-rivet': [GLUE('A cap or boss glued on both faces carries the same load spread out.')],
  'hanging-ring': [
    GLUE('A bail glued on a roughened back; good epoxy holds a light pendant for years.'),
    CLAMP('Wire wrapped or a bezel round the edge.'),
  ],
  'hanging-cord': [
    CLAMP('A knotted net or a wire cage carries it; so does a groove round the waist.'),
  ],
  'bead-bore': [CLAMP('A bead cap glued at each end takes the cord past the stone.')],
  'wall-plug': [
    GLUE('Adhesive plates for tile hold hooks and rails of a few kilograms; or drill in a joint.'),
  ],
  'post-socket': [CLAMP('A base plate on anchors, or a post shoe, needs small holes only.')],
  anchor: [
    ROUND(
      'Fix to timber or steel nearby, or spread the load on a plate with more, smaller anchors.',
    ),
  ],
  'blind-ring': [GLUE('A ring inlaid on top, etched or sandblasted, shows the same.')],
  'kiln-fired': [ROUND('Leave the gap with fibre paper before firing: no drilling at all.')],
  shaft: [CLAMP('A bracket from behind or from the edge holds the bearing.')],
};

const byPurpose = (kind: string | undefined): readonly Alternative[] =>
  (kind === undefined ? undefined : BY_PURPOSE[kind as PurposeKind]) ?? [
    GLUE('If it only has to hold, a glued boss, hook or plate may do.'),
  ];

function otherWay(plan: Plan): Alternative {
  const tips = [
    ...(isByHand(plan.setup.hold) ? ['a press or stand'] : []),
    ...(plan.setup.sides === 'one' ? ['both sides'] : []),
    ...(plan.setup.supportKind === 'sacrificial-hard' ? [] : ['something hard behind it']),
    ...(plan.setup.pace === 'gentle' ? [] : ['a gentle pace']),
  ];
  return {
    way: 'other-way',
    title: 'Drill it another way',
    detail:
      tips.length === 0
        ? 'It is planned as gently as it can be.'
        : `Not planned so far: ${tips.join(', ')}. Each makes breakage rarer.`,
  };
}

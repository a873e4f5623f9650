import { isByHand } from '../../data/holds';
import { isBuilding, isFlat } from '../../data/pieceForms';
import { boundingBox, faceOutline } from '../../layout/outline';
import { clampLimit } from '../../physics/holding/clamp';
import { cradle } from '../../physics/holding/cradle';
import { FINGERS_NM, holdingTorque, jamTorque, PALM_NM } from '../../physics/holding/holdingTorque';
import { ONE_HAND_NM, TWO_HANDS_NM } from '../../physics/effort/handLimits';
import { radiusAt } from '../../layout/curve';
import { clutchOf } from '../../data/machines/machineKinds';
import { cutsOf } from '../../plan/planContext';
import { wholeReach } from '../../setup/operations/reach';
import type { PlanInUnits } from '../plan/planInUnits';
import { input, type ReasonInput } from '../../documents/reason';
import { formatForce, formatPressure, formatTorque } from '../units/formatQuantity';
import { formatLength, formatLengthAbout, formatLengthShort } from '../units/length';

/** One thing about how the piece is held, with its numbers. */
export interface HoldPart {
  readonly id: 'piece' | 'jam' | 'stop' | 'clamp' | 'cradle' | 'bed' | 'boards';
  readonly title: string;
  /** What to do, in a sentence. */
  readonly text: string;
  readonly lines: readonly ReasonInput[];
  readonly source: string;
  readonly grave: boolean;
}

/** A pad nobody has measured, mm, and what clamping may add: a fifth of the allowable stress. */
const USUAL_PAD_MM = 20;
const CLAMP_SHARE = 0.2;
/** A screw clamp turned snug by hand presses about this hard, N. */
const SNUG_N = 500;

/** How to hold this piece: against the cut, the jam, the drop; clamped, cradled, bedded or boarded. */
export function holdAdvice(context: PlanInUnits): readonly HoldPart[] {
  const { piece } = context;
  const flat = isFlat(piece);
  return [
    ...(isBuilding(piece) ? [] : [holdPiece(context)]),
    holdJam(context),
    ...stopDrop(context),
    ...(flat && !piece.assembled ? [clampIt(context)] : []),
    ...cradleIt(context),
    ...(piece.form === 'bead' || piece.form === 'block' ? [bedIt(context)] : []),
    ...(piece.assembled && flat ? [boardIt(context)] : []),
  ];
}

function holdPiece({ headline, units }: PlanInUnits): HoldPart {
  const { grabNm, holdWith } = holdingTorque(headline.force.torqueNm);
  const text = {
    fingers: 'Fingers hold it, even when the rim grabs.',
    palm: 'Lay a flat palm on it: fingers would slip when the rim grabs.',
    clamp: 'A hand does not hold it when the rim grabs: clamp it, or set it against two stops.',
  }[holdWith];
  return {
    id: 'piece',
    title: 'Against the cut',
    text,
    lines: [
      input('Torque of the cut', formatTorque(headline.force.torqueNm, units)),
      input('When it grabs, about', formatTorque(grabNm, units)),
      input('Fingers on wet glass hold', formatTorque(FINGERS_NM, units)),
      input('A palm holds', formatTorque(PALM_NM, units)),
    ],
    source: 'Three times the cutting torque when a rim grabs: from practice.',
    grave: holdWith === 'clamp',
  };
}

function holdJam({ units, setup, headline }: PlanInUnits): HoldPart {
  const { machine } = setup;
  const clutchNm = clutchOf(machine);
  const { jamNm, heldBy } = jamTorque(headline.speed.setting.stallTorqueNm, clutchNm);
  const byHand = isByHand(setup.hold);
  const text = !byHand
    ? 'The stand takes the jam, and the piece must: hold it so that it cannot turn.'
    : {
        'one-hand': 'One hand holds the machine if the bit jams.',
        'two-hands': 'Side handle, both hands, elbow not behind the drill: it jams hard.',
        rig: 'No two hands hold this if it jams: a stand, or a machine with a slip clutch.',
      }[heldBy];
  return {
    id: 'jam',
    title: 'If it jams',
    text,
    lines: [
      input('It twists with', formatTorque(jamNm, units)),
      input('Bounded by', clutchNm === null ? 'the motor’s stall' : 'the slip clutch'),
      input('One hand holds', formatTorque(ONE_HAND_NM, units)),
      input('Two with a side handle', formatTorque(TWO_HANDS_NM, units)),
    ],
    source: 'Least of stall and clutch, against what a grip holds.',
    grave: byHand && heldBy === 'rig',
  };
}

function stopDrop(context: PlanInUnits): readonly HoldPart[] {
  const { passes, units } = context;
  const cut = cutsOf(context).at(-1);
  if (!cut) return [];
  const { stop, reach } = cut;
  const reachMm = wholeReach(reach);
  if (passes.breaks.length > 0)
    return [
      {
        id: 'stop',
        title: 'Against the drop',
        text: `The core comes out on the way, at ${passes.breaks.map(({ atMm }) => formatLengthShort(atMm, units)).join(', ')}; for the last of it stand so that the drill cannot fall through when the web lets go.`,
        lines: [input('The bit reaches', formatLength(reachMm, units))],
        source: 'Passes of the plan.',
        grave: false,
      },
    ];
  return [
    {
      id: 'stop',
      title: 'Against the drop',
      text: stop.clears
        ? `Collar or tape ${formatLengthShort(stop.collarAtMm, units)} up from the rim; a finger or a block of up to ${formatLengthShort(stop.stopHeightMm, units)} beside the bit catches the chuck.`
        : `The chuck is down to the piece before the bit is through: it has ${formatLengthShort(Math.max(0, stop.chuckRoomMm), units)} left. Take a longer bit, or break the core half way.`,
      lines: [
        input('Rim to the collar', formatLength(stop.collarAtMm, units)),
        input('Room left under the chuck', formatLengthAbout(Math.max(0, stop.chuckRoomMm), units)),
        input('The bit reaches', formatLength(reachMm, units)),
      ],
      source: 'Depth and 2 mm of overrun, against the bit’s reach.',
      grave: !stop.clears,
    },
  ];
}

function clampIt(context: PlanInUnits): HoldPart {
  const { piece, headline, setup, crack, units } = context;
  const { material } = headline;
  const { support } = setup;
  const padDiameterMm = support.clamps[0]?.padDiameterMm ?? USUAL_PAD_MM;
  const spareMpa = CLAMP_SHARE * crack.limitMpa;
  const limit = clampLimit({
    ...boundingBox(piece.outline),
    thicknessMm: piece.thicknessMm,
    youngModulusMpa: material.youngModulusMpa,
    poisson: material.poisson,
    twistMm: support.twistMm,
    padDiameterMm,
    spareMpa,
  });
  const tooHard = support.clamps.some(({ forceN }) => forceN > limit.maxN);
  const twisted =
    support.twistMm > 0
      ? ` Pressed flat, its twist alone makes ${formatPressure(limit.flattenMpa, units)}.`
      : '';
  return {
    id: 'clamp',
    title: 'If you clamp it',
    text: `Through soft pads, on a flat bed, ${limit.maxN > SNUG_N ? `snug by hand: it bears ${formatForce(limit.maxN, units)} a pad` : `finger-tight: no harder than ${formatForce(limit.maxN, units)} a pad`}.${twisted}${tooHard ? ' The clamps set here press harder.' : ''}`,
    lines: [
      input('Pad', formatLength(padDiameterMm, units)),
      input('By the pad’s rim', formatForce(limit.byPadN, units)),
      input('Twist of the piece', formatLength(support.twistMm, units)),
      input('To press it flat, each corner', formatForce(limit.flattenN, units)),
      input('Clamping may add', formatPressure(spareMpa, units)),
    ],
    source:
      'Tension round a pad (1 − 2ν)/2·p (Boussinesq); saddle E·t·g/(2(1 + ν)·W·H) and corner force (Kirchhoff).',
    grave: tooHard,
  };
}

function cradleIt({ piece, hole, headline, units }: PlanInUnits): readonly HoldPart[] {
  if (hole.face === 'base') return [];
  const radiusMm = radiusAt(faceOutline(piece.outline, hole.face ?? 'side'), hole.yMm);
  if (radiusMm === null) return [];
  const v = cradle(radiusMm, headline.force.feedForceN);
  return [
    {
      id: 'cradle',
      title: 'In a cradle',
      text: `A V of ${v.openingDeg}°, at least ${formatLengthShort(v.minWidthMm, units)} across and lined with rubber; the hole on top, within ${formatLengthShort(v.rollsAtMm, units)} of upright.`,
      lines: [
        input('It touches across', formatLengthAbout(v.touchWidthMm, units)),
        input('Stands above the corner', formatLengthAbout(v.standsMm, units)),
        input('Each face takes', formatForce(v.faceForceN, units)),
        input('Rolls if pressed off by', formatLengthAbout(v.rollsAtMm, units)),
      ],
      source: 'Two faces at half the opening: F/(2cos β) each, friction 0.3 wet.',
      grave: false,
    },
  ];
}

/** An odd piece is bedded to a third of its height. */
const BEDDED_SHARE = 1 / 3;

function bedIt({ piece, units }: PlanInUnits): HoldPart {
  const deepMm = piece.thicknessMm * BEDDED_SHARE;
  return {
    id: 'bed',
    title: 'In a bed',
    text: `Press it ${formatLengthAbout(deepMm, units)} into mouldable plastic or wet sand, level under the mark; the bed’s wall can hold the water. Shell goes on sponge.`,
    lines: [input('Deep, about a third', formatLengthAbout(deepMm, units))],
    source: 'From practice.',
    grave: false,
  };
}

function boardIt({ headline, units }: PlanInUnits): HoldPart {
  const side = 6 * headline.bit.diameterMm;
  return {
    id: 'boards',
    title: 'Boards on both sides',
    text: `A built pane is held between two boards of ${formatLengthShort(side, units)} square, felt between, the front one bored as a guide: they spread the force and catch the plug.`,
    lines: [input('Square, six bits wide', formatLengthShort(side, units))],
    source: 'From practice; lay a board on the map to see what it spreads.',
    grave: false,
  };
}

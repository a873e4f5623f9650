import type { Obstacle, ObstacleCode } from '../../advice/choice/obstacles';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { connectionInLine } from '../../data/couplings/connections';
import type { Holder, Shank } from '../../data/couplings/shank';
import { formatForce, formatRimSpeed, formatRpm, formatTorque } from '../units/formatQuantity';
import { formatLength } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

type Of<Code extends ObstacleCode> = Extract<Obstacle, { readonly code: Code }>;

const shankText = ({ kind, sizeMm }: Shank, units: UnitSystem): string =>
  `${connectionInLine(kind)}${sizeMm === undefined ? '' : ` of ${formatLength(sizeMm, units)}`}`;

function holderText(holder: Holder, units: UnitSystem): string {
  if (holder.sizesMm)
    return `collets for ${holder.sizesMm.map((mm) => formatLength(mm, units)).join(', ')}`;
  return holder.leastMm !== undefined && holder.mostMm !== undefined
    ? `a chuck for ${formatLength(holder.leastMm, units)} to ${formatLength(holder.mostMm, units)}`
    : connectionInLine(holder.kind);
}

const SPENT = {
  'put-away': 'It is put away.',
  bald: 'It is bald.',
  'out-of-true': 'It runs out of true.',
} as const satisfies Record<Of<'bit-spent'>['state'], string>;

const NOT_TO_PIECE = {
  'glass-grinder': 'A glass grinder takes a small flat piece held on its table.',
  'angle-grinder': 'An angle grinder’s core wants a broad flat face of tile, stone or masonry.',
  'stand-core-drill': 'A stand has nothing to stand on at a built piece.',
  'press-to-building': 'A press cannot be carried to a wall or floor.',
  'press-to-built': 'A built piece does not go under a press.',
  'press-too-small': 'It is too big for a press’s table.',
} as const satisfies Record<Of<'machine-not-to-piece'>['why'], string>;

const OBSTACLE_WORDS: {
  readonly [Code in ObstacleCode]: (obstacle: Of<Code>, units: UnitSystem) => string;
} = {
  'bit-spent': ({ state }) => SPENT[state],
  'wrong-bit': ({ family, material }) =>
    `A ${BIT_FAMILIES[family].name.toLowerCase()} is not made for ${material.toLowerCase()}.`,
  'machine-not-to-piece': ({ why }) => NOT_TO_PIECE[why],
  'beyond-arms': ({ wantedN, maxN, aided }, units) =>
    `It only cuts well from ${formatForce(wantedN, units)}; by hand ${aided ? 'with the aid ' : ''}about ${formatForce(maxN, units)} is the most.`,
  'does-not-fit': ({ shank, holders }, units) =>
    `Its ${shankText(shank, units)} does not go into ${holders
      .map((holder) => holderText(holder, units))
      .join(' or ')}, and no adapter of yours joins them.`,
  'no-water-through-spindle': () =>
    'No water comes through this spindle, and no swivel of yours fits between.',
  'slots-leak': () => 'The slots in its barrel let spindle water out before the rim.',
  'bit-too-short': ({ reachMm, shortMm, solid }, units) =>
    `It reaches ${formatLength(reachMm, units)}, ${formatLength(shortMm, units)} short${solid ? '.' : ', and no extension of yours makes up for it.'}`,
  'not-slow-enough': ({ rpm, rimSpeedMPerS, highMPerS, bitMaxRpm }, units) =>
    bitMaxRpm === undefined
      ? `It turns no slower than ${formatRpm(rpm)}: the rim would run at ${formatRimSpeed(rimSpeedMPerS, units)}, over ${formatRimSpeed(highMPerS, units)}.`
      : `It turns no slower than ${formatRpm(rpm)}; the bit allows ${formatRpm(bitMaxRpm)}.`,
  'not-fast-enough': ({ rpm, rimSpeedMPerS, lowMPerS }, units) =>
    `Its fastest, ${formatRpm(rpm)}, runs this rim at ${formatRimSpeed(rimSpeedMPerS, units)}; it cuts from ${formatRimSpeed(lowMPerS, units)}.`,
  'press-travel': ({ travelMm, wantedMm }, units) =>
    `The quill comes down ${formatLength(travelMm, units)}; the hole needs ${formatLength(wantedMm, units)}.`,
  'press-room': ({ roomMm, wantedMm }, units) =>
    `There is ${formatLength(roomMm, units)} under its chuck; piece, backing and bit want ${formatLength(wantedMm, units)}.`,
  'press-throat': ({ inMm, throatMm }, units) =>
    `The mark lies ${formatLength(inMm, units)} in from the nearest edge; its throat is ${formatLength(throatMm, units)}.`,
  'twists-hands': ({ nm, handsNm }, units) =>
    `Its clutch slips at ${formatTorque(nm, units)}; two hands hold ${formatTorque(handsNm, units)}.`,
  'clutch-missing': ({ nm, handsNm }, units) =>
    `No clutch slips, and jammed it twists with ${formatTorque(nm, units)}; two hands hold ${formatTorque(handsNm, units)}.`,
  'not-water-rated': () =>
    'A mains tool that is not made for water does not belong under running water.',
  'dry-not-allowed': () => 'Dry is for bits made for it, in masonry or tile.',
};

/** What stands in the way, in a sentence. */
export const obstacleText = (obstacle: Obstacle, units: UnitSystem): string =>
  (OBSTACLE_WORDS[obstacle.code] as (one: Obstacle, units: UnitSystem) => string)(obstacle, units);

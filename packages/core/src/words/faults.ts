import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { COOLANTS } from '../data/coolants';
import { connectionInLine } from '../data/couplings/connections';
import { MATERIAL_IDS } from '../data/materials/materials';
import type { Fault } from '../documents/fault';
import type { Variant } from '../documents/variant';
import type { Clash, JobFault } from '../setup/jobFault';
import { formatDecimals } from './units/roundNumber';

type Of<Code extends Clash['code']> = Variant<Clash, 'code', Code>;

const mm = (value: number): string => `${formatDecimals(value, 2)} mm`;
const size = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }): string =>
  `${mm(widthMm)} × ${mm(heightMm)}`;

/** So many ids are named in a sentence. */
const MAX_LISTED = 12;
const listed = (ids: readonly string[]): string => {
  if (ids.length === 0) return 'none';
  const more = ids.length - MAX_LISTED;
  return `${ids.slice(0, MAX_LISTED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
};

/** One sentence a clash: both values, and what would be right. */
const CLASH_WORDS: { readonly [Code in Clash['code']]: (clash: Of<Code>) => string } = {
  'same-id': ({ what, id }) => `Two ${what}s are called “${id}”; each needs an id of its own.`,
  'hole-twice-in-piece': ({ id }) => `Two holes are called “${id}”; each needs an id of its own.`,
  'hole-in-another-piece': ({ id }) =>
    `Hole “${id}” is in another piece too; each hole of a file needs an id of its own.`,
  'hole-in-many-pieces': ({ id, pieces }) =>
    `${pieces.length} holes are called “${id}”, in ${pieces.map((piece) => `“${piece}”`).join(' and ')}; each needs an id of its own.`,
  'no-such-hole': ({ id, job }) => `There is no hole “${id}” in job “${job}”.`,
  'too-few-points': () => 'A polygon needs at least three different points.',
  'cavity-at-face': () =>
    'A cavity lies between two leaves: the first and last layer must be solid.',
  'too-many-bulges': ({ bulges, sides }) =>
    `${bulges} bulges for ${sides} sides; give one a side, or none.`,
  'outline-crosses-itself': ({ xMm, yMm }) =>
    `The outline crosses itself at x ${mm(xMm)}, y ${mm(yMm)}; its sides may meet only at their ends.`,
  'material-unknown': ({ id }) =>
    `Material “${id}” is not known. Use one of ${MATERIAL_IDS.join(', ')}, or describe it under customMaterials.`,
  'window-falls': ({ material, name, value, lower, min, unit }) =>
    `${material}: ${name} ${formatDecimals(value, 3)} ${unit} is under ${lower} ${formatDecimals(min, 3)} ${unit}; they must rise.`,
  'outside-readings': ({ thicknessMm, thinnestMm, thickestMm }) =>
    `thicknessMm ${mm(thicknessMm)} lies outside its own readings, ${mm(thinnestMm)} to ${mm(thickestMm)}.`,
  'readings-apart': ({ thinnestMm, thickestMm, mostMm }) =>
    `A piece that measures ${mm(thinnestMm)} in one place is not ${mm(thickestMm)} in another; beside ${mm(thinnestMm)} a reading is at most ${mm(mostMm)}. Measure again.`,
  'shares-not-one': ({ shares }) =>
    `The shares add up to ${formatDecimals(shares, 3)}; they must make 1.`,
  'layers-not-thickness': ({ totalMm, thicknessMm }) =>
    `The layers add up to ${mm(totalMm)}, but thicknessMm is ${mm(thicknessMm)}; they must be the same.`,
  'goes-through': ({ depth, depthMm, thicknessMm }) =>
    `A ${depth} hole ${mm(depthMm)} deep goes through a piece ${mm(thicknessMm)} thick; make it shallower or use "through".`,
  'hole-off-piece': (clash) =>
    `The middle of hole “${clash.hole}” (x ${mm(clash.xMm)}, y ${mm(clash.yMm)}) lies outside piece “${clash.piece}”, which is ${size(clash)}.`,
  'hole-over-edge': ({ hole, piece, diameterMm, clearMm }) =>
    `Hole “${hole}” of ${mm(diameterMm)} runs over the edge of piece “${piece}”: its middle is ${mm(clearMm)} from the edge and needs more than ${mm(diameterMm / 2)}.`,
  'bit-not-in-kit': ({ id, known }) => `Bit “${id}” is not in the kit, which has ${listed(known)}.`,
  'machine-not-in-kit': ({ id, known }) =>
    `Machine “${id}” is not in the kit, which has ${listed(known)}.`,
  'coupling-not-in-kit': ({ id, known }) =>
    `Coupling “${id}” is not in the kit, which has ${listed(known)}.`,
  'bit-bigger-than-piece': ({ bit, diameterMm, acrossMm }) =>
    `Bit “${bit}” of ${mm(diameterMm)} is bigger than the piece, which is ${mm(acrossMm)} across.`,
  'rim-too-wide': ({ rimWidthMm, diameterMm }) =>
    `A rim ${mm(rimWidthMm)} wide does not fit a bit of ${mm(diameterMm)}: at most half the diameter, ${mm(diameterMm / 2)}.`,
  'barrel-too-wide': ({ barrelMm, diameterMm }) =>
    `A barrel of ${mm(barrelMm)} is wider than its rim of ${mm(diameterMm)} and would jam; at most as wide.`,
  'bore-too-deep': ({ boreDepthMm, bitMm }) =>
    `A barrel ${mm(boreDepthMm)} deep inside is deeper than the bit is long, ${mm(bitMm)}; at most that.`,
  'speeds-fall': ({ minRpm, maxRpm }) => `minRpm ${minRpm} is above maxRpm ${maxRpm}.`,
  'pinion-over-lever': ({ pinionRadiusMm, leverArmMm }) =>
    `A pinion of ${mm(pinionRadiusMm)} on a lever of ${mm(leverArmMm)} would make it harder to press; the lever is the longer one.`,
  'extension-without-length': ({ name }) => `Extension “${name}” needs its length in mm.`,
  'size-in-name': ({ kind, sizeMm }) =>
    `A ${connectionInLine(kind)} has its size in its name; leave out ${mm(sizeMm)}.`,
  'chuck-closes-on-nothing': ({ leastMm, mostMm }) =>
    `A chuck from ${mm(leastMm)} to ${mm(mostMm)} closes on nothing.`,
  'patch-without-size': (clash) =>
    `A ${clash.what} of ${size(clash)} has no size; give it a width and a height above 0.`,
  'patch-off-piece': (clash) =>
    `A ${clash.what} at ${mm(clash.xMm)}, ${mm(clash.yMm)} lies outside the piece, which is ${size(clash)}; move it under.`,
  'board-without-thickness': () => 'A board of 0 mm spreads nothing; give its thickness.',
  'clamp-without-pad': () => 'A clamp of 0 mm has no pad; give its diameter.',
  'clamp-off-piece': (clash) =>
    `A clamp’s pad of ${mm(clash.padDiameterMm)} at ${mm(clash.xMm)}, ${mm(clash.yMm)} is not whole on the piece, which is ${size(clash)}.`,
  'no-such-question': ({ id, about, known }) =>
    `“${id}” is not a question about ${about}; use ${known.join(', ')}.`,
  'operation-without-depth': ({ name, fromMm, toMm }) =>
    `Operation “${name}” goes from ${mm(fromMm)} to ${mm(toMm)}; it must end deeper than it begins.`,
  'operation-too-deep': ({ name, toMm, bottomMm }) =>
    `Operation “${name}” goes to ${mm(toMm)}, but the hole ends at ${mm(bottomMm)}; end it there.`,
  'operation-starts-in-uncut': ({ name, fromMm, openToMm }) =>
    `Operation “${name}” begins at ${mm(fromMm)}, but the hole before it is open to ${mm(openToMm)} only; begin there, or cut what lies between first.`,
  'bit-wider-than-hole': ({ bit, diameterMm, openMm, fromMm }) =>
    `${bit} of ${mm(diameterMm)} does not go down a hole ${mm(openMm)} wide to begin at ${mm(fromMm)}; begin at 0 mm, or take a narrower bit.`,
  'operations-overlap': ({ name, fromMm, toMm, diameterMm }) =>
    `Operation “${name}” cuts from ${mm(fromMm)} to ${mm(toMm)}, where the hole is ${mm(diameterMm)} wide already; leave that out.`,
  'core-longer-than-barrel': ({ name, bit, coreMm, barrelMm }) =>
    `Operation “${name}” leaves a core ${mm(coreMm)} long, but the barrel of ${bit} holds ${mm(barrelMm)}; break the core out before.`,
  'operation-out-of-reach': ({ name, bit, toMm, reachMm }) =>
    `Operation “${name}” goes to ${mm(toMm)}, but ${bit} reaches ${mm(reachMm)}; end it there, or take a longer bit.`,
  'coupling-wider-than-hole': ({ coupling, diameterMm, holeMm }) =>
    `${coupling} is ${mm(diameterMm)} wide and does not go into a hole of ${mm(holeMm)}; take a narrower one.`,
  'hammer-on-diamond': ({ bit, family }) =>
    `The hammer is on for ${bit}, a ${BIT_FAMILIES[family].name.toLowerCase()}; one blow breaks its rim. Hammer only with a masonry bit.`,
  'machine-without-hammer': ({ machine }) =>
    `The hammer is on, but ${machine} has none; leave it off, or take a hammer drill.`,
  'wet-through-dry-tool': ({ bit, water }) =>
    `${bit} is made to run dry, but it is to run with “${COOLANTS[water].name.toLowerCase()}”; run it dry, or take a wet bit.`,
  'dry-diamond-in-glass': ({ bit, material }) =>
    `${bit} is to run dry in ${material.toLowerCase()}; glass cracks from a dry diamond rim. Run it wet.`,
  'no-such-leaf': ({ leaf, leaves }) =>
    `There is no leaf ${leaf}; seen from that face the piece has ${leaves}, counted from 1.`,
  'far-face-of-blind': ({ name, depthMm, thicknessMm }) =>
    `Operation “${name}” begins at the far face, but the hole ends ${mm(depthMm)} deep in ${mm(thicknessMm)}; use the near face.`,
  'operations-cut-nothing': ({ count }) =>
    `None of the ${count} operations cuts; add one that does, such as core or bore.`,
  'operations-leave-gap': ({ fromMm, toMm, openMm, wantedMm }) =>
    `From ${mm(fromMm)} to ${mm(toMm)} the operations open the hole to ${mm(openMm)}, not to ${mm(wantedMm)}; add one that cuts there.`,
  'no-such-answer': ({ id, answer, known }) =>
    `“${answer}” is not an answer to ${id}; use ${known.join(', ')}.`,
};

export const clashText = (clash: Clash): string =>
  (CLASH_WORDS[clash.code] as (clash: Clash) => string)(clash);

/** Clashes as faults: where, and in a sentence. */
export const faultsInWords = (faults: readonly JobFault[]): Fault[] =>
  faults.map(({ pointer, ...clash }) => ({ pointer, message: clashText(clash) }));

/** An outcome that is faulty, its faults in sentences. */
export const faultyInWords = ({
  faults,
}: {
  readonly faults: readonly JobFault[];
}): { readonly kind: 'faulty'; readonly faults: readonly Fault[] } => ({
  kind: 'faulty',
  faults: faultsInWords(faults),
});

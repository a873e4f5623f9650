import { input, type ReasonInput } from '../../documents/reason';
import { formatVolume } from '../units/formatQuantity';
import { formatLengthAbout, formatLengthShort } from '../units/length';
import { formatSignificant } from '../units/roundNumber';
import type { UnitSystem } from '../../data/unitSystem';
import type {
  Dam,
  DamInput,
  FallWedge,
  GuideBoard,
  GuideBoardInput,
} from '../../layout/guideBoard';

const ML_PER_L = 1000;
const deg = (value: number): string => `${formatSignificant(value, 2)}°`;

/** What a guide board does and how big to make it, a line each. */
export const guideLines = (
  board: GuideBoard,
  given: GuideBoardInput,
  units: UnitSystem,
): readonly ReasonInput[] => [
  input(
    'Hole in the guide',
    `${formatLengthShort(board.holeMm, units)}: cut it a little small with a wood bit, then dress it with the diamond bit; cutting wood clogs the diamonds`,
  ),
  input('The bit may lean', `${deg(board.leanDeg)}: play over the guide’s thickness`),
  input('It may start off its mark by', formatLengthAbout(board.entryOffsetMm, units)),
  input(
    'It may come out off true by',
    `${formatLengthAbout(board.exitOffsetMm, units)} after ${formatLengthShort(given.depthMm, units)}`,
  ),
  input(
    'Board size, at least',
    `${formatLengthShort(board.minSideMm, units)} square, for a hand or a clamp`,
  ),
  input(
    'Board thickness needed',
    board.minThicknessMm <= given.boardThicknessMm
      ? `${formatLengthShort(given.boardThicknessMm, units)} is enough`
      : `${formatLengthShort(board.minThicknessMm, units)} or more: this one is thin for the bit`,
  ),
];

const volume = (ml: number, units: UnitSystem): string => formatVolume(ml / ML_PER_L, units);

/** What a dam holds and takes, a line each. */
export const damLines = (ring: Dam, given: DamInput, units: UnitSystem): readonly ReasonInput[] => [
  input('Water to pour in', volume(ring.waterMl, units)),
  input('Putty for the ring', volume(ring.puttyMl, units)),
  input(
    'Inside at least',
    given.innerDiameterMm >= ring.minInnerMm
      ? `${formatLengthShort(ring.minInnerMm, units)}: wide enough`
      : `${formatLengthShort(ring.minInnerMm, units)}, for water round the bit: this one is tight`,
  ),
];

/** How to pack a guide for a fall, a line each. */
export const wedgeLines = (
  wedge: FallWedge,
  baseMm: number,
  depthMm: number,
  units: UnitSystem,
): readonly ReasonInput[] => [
  input('Angle', deg(wedge.angleDeg)),
  input(
    'Packer',
    `${formatLengthShort(wedge.packerMm, units)} under one end of ${formatLengthShort(baseMm, units)}`,
  ),
  input(
    'Drop',
    `${formatLengthShort(wedge.dropMm, units)} over ${formatLengthShort(depthMm, units)}`,
  ),
];

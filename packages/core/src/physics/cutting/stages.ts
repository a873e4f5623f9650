import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import type { Stage } from '../../documents/plan';
import type { BitGeometry } from './bitGeometry';

const SEAT_DEPTH_MM = 0.5;
const SEAT_SHARE_OF_THICKNESS = 0.3;
const SEAT_SHARE_OF_FORCE = 0.3;
const SEAT_OVER_GLAZE = 1.1;
export const SEAT_SHARE_OF_SPEED = 0.6;
const MIN_EXIT_MM = 0.5;
const EXIT_CHIP_DEPTHS = 3;
/** Eased off this many times before the last web would let go. */
const EXIT_LIGAMENTS = 2;

/** What is left under the groove at the latest when the force is taken back, mm. */
export const easedBefore = (ligamentMm: number): number =>
  Math.max(EXIT_LIGAMENTS * ligamentMm, MIN_EXIT_MM);

/** How deep the bit is before its own groove steers it, mm. */
export const seatDepth = (depthMm: number): number =>
  Math.min(SEAT_DEPTH_MM, SEAT_SHARE_OF_THICKNESS * depthMm);

/** Whether the last of the way asks for less force than the cut before it; else it is gentle enough. */
export const easesOff = (exitForceN: number, mainForceN: number): boolean =>
  exitForceN < mainForceN * 0.999;

/** Whether the last stretch is pressed less than the cut before it: nearly through need not be less force. */
export function easesAtEnd(stages: readonly Pick<Stage, 'kind' | 'forceN'>[]): boolean {
  const exit = stages.find(({ kind }) => kind === 'exit');
  const main = stages.findLast(({ kind }) => kind === 'main');
  return exit !== undefined && main !== undefined && easesOff(exit.forceN, main.forceN);
}

export interface StageInputs {
  /** Where the bit begins, mm from its face. */
  readonly fromMm?: number;
  readonly depthMm: number;
  /** It goes on in its own hole: nothing is left to seat. */
  readonly seated?: boolean;
  readonly feedForceN: number;
  readonly exitForceN: number;
  readonly rpm: number;
  /** The slowest the machine turns without changing step or gear. */
  readonly minRpm: number;
  /** f·p_glaze·A_c, N: below this the rim polishes. */
  readonly glazeForceN: number;
  /** h, mm, at the exit force. */
  readonly exitChipDepthMm: number;
  /** δ at which the last web would let go under the main force, mm. */
  readonly ligamentMm?: number;
  readonly opensFarFace: boolean;
  /** How much sooner the far face may come, mm: the piece is not of one thickness. */
  readonly exitEarlyMm?: number;
}

/**
 * Seat the first 0.5 mm (0.3·t if thinner) at F_seat = max(0.3·F, 1.1·f·p_glaze·A_c) and 0.6·n,
 * then the main cut, then the last max(3·h, 2·δ, 0.5 mm) at the exit force. Contiguous, from where it begins to the
 * depth; a blind hole has no exit, a very thin one no main. t is what this bit goes through.
 */
export function stagesOf(inputs: StageInputs): Stage[] {
  const { fromMm = 0, depthMm, feedForceN, rpm } = inputs;
  const seatEndMm = fromMm + (inputs.seated ? 0 : seatDepth(depthMm - fromMm));
  const exitMm = inputs.opensFarFace
    ? Math.min(
        Math.max(EXIT_CHIP_DEPTHS * inputs.exitChipDepthMm, easedBefore(inputs.ligamentMm ?? 0)) +
          (inputs.exitEarlyMm ?? 0),
        depthMm - seatEndMm,
      )
    : 0;
  const exitStartMm = depthMm - exitMm;
  // Seating may never press harder than the cut itself.
  const seatForceN = Math.min(
    feedForceN,
    Math.max(SEAT_SHARE_OF_FORCE * feedForceN, SEAT_OVER_GLAZE * inputs.glazeForceN),
  );
  const stages: Stage[] = [
    {
      kind: 'seat',
      fromMm,
      toMm: seatEndMm,
      forceN: seatForceN,
      rpm: Math.min(rpm, Math.max(SEAT_SHARE_OF_SPEED * rpm, inputs.minRpm)),
    },
    { kind: 'main', fromMm: seatEndMm, toMm: exitStartMm, forceN: feedForceN, rpm },
    { kind: 'exit', fromMm: exitStartMm, toMm: depthMm, forceN: inputs.exitForceN, rpm },
  ];
  return stages.filter((stage) => stage.toMm - stage.fromMm > 1e-9);
}

/**
 * Extra time to seat a solid diamond bit, whose centre has no speed: 12 s per mm of D, none in a pilot. A carbide
 * tip has an edge across its centre.
 */
export function solidCentreSeatTime(
  bit: Pick<BitGeometry, 'solid' | 'diameterMm' | 'family'>,
  pilotDiameterMm: number,
): number {
  const SECONDS_PER_MM = 12;
  const hasEdge = BIT_FAMILIES[bit.family].abrasive === 'carbide';
  return bit.solid && !hasEdge && pilotDiameterMm === 0 ? SECONDS_PER_MM * bit.diameterMm : 0;
}

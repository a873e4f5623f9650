import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { COOLANTS, type CoolantId } from '../../data/coolants';
import { connectionInLine } from '../../data/couplings/connections';
import type { Holder, Shank } from '../../data/couplings/shank';
import { chainReach, couplingChain } from '../../setup/couplingChain';
import { contactOf, rimSpeedAt } from '../../physics/cutting/contact';
import { chooseSpeed } from '../../physics/cutting/chooseSpeed';
import { cuttingWindow, paceTarget } from '../../physics/cutting/pace';
import { armForce } from '../../physics/effort/armForce';
import { distanceToEdge, faceOutline } from '../../layout/outline';
import { TWO_HANDS_NM } from '../../physics/effort/handLimits';
import type { Bit, Coupling, Machine } from '../../documents/kit';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import { jamTorque } from '../../physics/holding/holdingTorque';
import { clutchOf, MACHINE_KINDS } from '../../data/machines/machineKinds';
import { speedSettings } from '../../physics/cutting/speedSettings';
import type { Material } from '../../data/materials/material';
import { isBuilding } from '../../setup/benchFit';
import { isTile } from '../../data/materials/materials';
import { isUsable, machineFits, suits } from '../../setup/assumeSetup';
import { formatForce, formatRimSpeed, formatRpm } from '../../words/units/formatQuantity';
import { formatLength } from '../../words/units/length';
import { formatSignificant } from '../../words/units/roundNumber';
import type { UnitSystem } from '../../words/units/unitSystem';

export const OBSTACLE_CODES = [
  'beyond-arms',
  'bit-spent',
  'bit-too-short',
  'clutch-missing',
  'does-not-fit',
  'dry-not-allowed',
  'no-water-through-spindle',
  'machine-not-to-piece',
  'not-fast-enough',
  'not-slow-enough',
  'not-water-rated',
  'press-room',
  'press-throat',
  'press-travel',
  'slots-leak',
  'twists-hands',
  'wrong-bit',
] as const;
export type ObstacleCode = (typeof OBSTACLE_CODES)[number];

/** Why a bit, machine and water cannot make this hole. */
export interface Obstacle {
  readonly code: ObstacleCode;
  readonly text: string;
}

/** Everything an obstacle is judged by. */
export interface Trial {
  readonly piece: Piece;
  readonly hole: Hole;
  /** Every solid leaf's material, the face's first. */
  readonly materials: readonly Material[];
  readonly bit: Bit;
  readonly machine: Machine;
  readonly water: CoolantId;
  readonly couplings: readonly Coupling[];
  readonly backingMm: number;
  readonly byHand: boolean;
  readonly depthMm: number;
  readonly units: UnitSystem;
}

type Judge = (trial: Trial) => string | null;

/** Room a press keeps between the bit's tip and the piece, mm. */
const PRESS_CLEARANCE_MM = 10;
/** Under half of the least speed it hardly cuts. */
const LEAST_SPEED_SHARE = 0.5;
/** What a shank and chuck add to a bit's usable depth, mm. */
const SHANK_IN_VIEW_MM = 20;

export const holdersOf = (machine: Machine): readonly Holder[] =>
  machine.holders?.length ? machine.holders : MACHINE_KINDS[machine.kind].holders;

export const hasSpindleWater = (machine: Machine): boolean =>
  machine.spindleWater ?? MACHINE_KINDS[machine.kind].spindleWater;

const shankText = ({ kind, sizeMm }: Shank, units: UnitSystem): string =>
  `${connectionInLine(kind)}${sizeMm === undefined ? '' : ` of ${formatLength(sizeMm, units)}`}`;

function holderText(holder: Holder, units: UnitSystem): string {
  if (holder.sizesMm)
    return `collets for ${holder.sizesMm.map((mm) => formatLength(mm, units)).join(', ')}`;
  return holder.leastMm !== undefined && holder.mostMm !== undefined
    ? `a chuck for ${formatLength(holder.leastMm, units)} to ${formatLength(holder.mostMm, units)}`
    : connectionInLine(holder.kind);
}

const isPress = (machine: Machine): boolean => MACHINE_KINDS[machine.kind].hold === 'press';

/** Why a machine cannot be brought to a piece. */
function notToPiece({ kind }: Machine, piece: Piece): string {
  if (kind === 'glass-grinder')
    return 'A glass grinder takes a small flat piece held on its table.';
  if (kind === 'angle-grinder')
    return 'An angle grinder’s core wants a broad flat face of tile, stone or masonry.';
  if (kind === 'stand-core-drill') return 'A stand has nothing to stand on at a built piece.';
  if (isBuilding(piece)) return 'A press cannot be carried to a wall or floor.';
  return piece.assembled
    ? 'A built piece does not go under a press.'
    : 'It is too big for a press’s table.';
}

const jamTorqueNm = (machine: Machine): { readonly nm: number; readonly clutch: boolean } => {
  const kind = MACHINE_KINDS[machine.kind];
  const clutch = clutchOf(machine);
  return {
    nm: jamTorque(machine.stallTorqueNm ?? kind.stallTorqueNm, clutch).jamNm,
    clutch: clutch !== null,
  };
};

/** The chain from machine to bit; undefined where nobody has said what shank the bit has. */
export function chainOf(
  trial: Pick<Trial, 'bit' | 'machine' | 'couplings' | 'water'>,
): readonly Coupling[] | null | undefined {
  const { bit, machine, couplings, water } = trial;
  if (!bit.shank) return undefined;
  const mustCarryWater = water === 'spindle' && !hasSpindleWater(machine);
  return couplingChain(holdersOf(machine), bit.shank, couplings, mustCarryWater);
}

const JUDGES: Readonly<Record<ObstacleCode, Judge>> = {
  'bit-spent': ({ bit }) =>
    isUsable(bit)
      ? null
      : bit.retired
        ? 'It is put away.'
        : bit.state === 'bald'
          ? 'It is bald.'
          : 'It runs out of true.',
  'wrong-bit': ({ bit, materials }) => {
    const bad = materials.find((material) => !suits(bit.family, material));
    return bad
      ? `A ${BIT_FAMILIES[bit.family].name.toLowerCase()} is not made for ${bad.name.toLowerCase()}.`
      : null;
  },
  'machine-not-to-piece': ({ machine, piece, materials }) => {
    const [material] = materials;
    return material && !machineFits(machine, piece, material) ? notToPiece(machine, piece) : null;
  },
  'beyond-arms': ({ bit, machine, materials, byHand, hole, units }) => {
    const [material] = materials;
    if (!byHand || !material) return null;
    const geometry = bitGeometry(bit);
    const { glaze, low } = cuttingWindow(material, geometry).pressureMpa;
    const area = contactOf(geometry).contactAreaMm2;
    const aid = hole.setup?.feedAid ?? 'none';
    const { onePushN } = armForce('guided', machine, aid, (glaze / 2) * area);
    return low * area > onePushN
      ? `It only cuts well from ${formatForce(low * area, units)}; by hand ${aid === 'none' ? '' : 'with the aid '}about ${formatForce(onePushN, units)} is the most.`
      : null;
  },
  'does-not-fit': (trial) => {
    const { bit, machine, couplings, units } = trial;
    if (!bit.shank || couplingChain(holdersOf(machine), bit.shank, couplings)) return null;
    return `Its ${shankText(bit.shank, units)} does not go into ${holdersOf(machine)
      .map((holder) => holderText(holder, units))
      .join(' or ')}, and no adapter of yours joins them.`;
  },
  'no-water-through-spindle': (trial) => {
    const { water, machine, bit, couplings } = trial;
    if (water !== 'spindle' || hasSpindleWater(machine)) return null;
    const joined = bit.shank
      ? couplingChain(holdersOf(machine), bit.shank, couplings, true)
      : couplings.some((one) => one.carriesWater);
    return joined
      ? null
      : 'No water comes through this spindle, and no swivel of yours fits between.';
  },
  'slots-leak': ({ water, bit }) =>
    water === 'spindle' && bit.slotted
      ? 'The slots in its barrel let spindle water out before the rim.'
      : null,
  'bit-too-short': (trial) => {
    const { bit, depthMm, units } = trial;
    const { usableDepthMm, solid } = bitGeometry(bit);
    const short = depthMm - usableDepthMm;
    if (short <= 0) return null;
    if (solid)
      return `It reaches ${formatLength(usableDepthMm, units)}, ${formatLength(short, units)} short.`;
    const reach = longestReach(trial);
    return reach >= short
      ? null
      : `It reaches ${formatLength(usableDepthMm, units)}, ${formatLength(short, units)} short, and no extension of yours makes up for it.`;
  },
  'not-slow-enough': ({ bit, machine, materials, water, units }) => {
    const [material] = materials;
    if (!material) return null;
    const window = cuttingWindow(material, bitGeometry(bit));
    const chosen = chooseSpeed({
      diameterMm: bit.diameterMm,
      wantedRimSpeedMPerS: paceTarget(window, 'steady').rimSpeedMPerS,
      window: window.rimSpeedMPerS,
      throwOffMPerS: COOLANTS[water].throwOffMPerS,
      bitMaxRpm: bit.maxRpm,
      settings: speedSettings(machine),
    });
    if (bit.maxRpm !== undefined && chosen.rpm > bit.maxRpm * 1.001)
      return `It turns no slower than ${formatRpm(chosen.rpm)}; the bit allows ${formatRpm(bit.maxRpm)}.`;
    return chosen.outsideWindow === 'above'
      ? `It turns no slower than ${formatRpm(chosen.rpm)}: the rim would run at ${formatRimSpeed(chosen.rimSpeedMPerS, units)}, over ${formatRimSpeed(window.rimSpeedMPerS.high, units)}.`
      : null;
  },
  'not-fast-enough': ({ bit, machine, materials, units }) => {
    const [material] = materials;
    if (!material) return null;
    const { low } = cuttingWindow(material, bitGeometry(bit)).rimSpeedMPerS;
    const most = Math.max(...speedSettings(machine).map(({ maxRpm }) => maxRpm));
    const v = rimSpeedAt(most, bit.diameterMm);
    return v < low * LEAST_SPEED_SHARE
      ? `Its fastest, ${formatRpm(most)}, runs this rim at ${formatRimSpeed(v, units)}; it cuts from ${formatRimSpeed(low, units)}.`
      : null;
  },
  'press-travel': ({ machine, depthMm, units }) =>
    machine.travelMm !== undefined && machine.travelMm < depthMm + PRESS_CLEARANCE_MM / 2
      ? `The quill comes down ${formatLength(machine.travelMm, units)}; the hole wants ${formatLength(depthMm + PRESS_CLEARANCE_MM / 2, units)}.`
      : null,
  'press-room': ({ machine, piece, bit, backingMm, units }) => {
    if (machine.chuckToTableMm === undefined) return null;
    const wanted =
      backingMm +
      piece.thicknessMm +
      bitGeometry(bit).usableDepthMm +
      SHANK_IN_VIEW_MM +
      PRESS_CLEARANCE_MM;
    return machine.chuckToTableMm < wanted
      ? `There is ${formatLength(machine.chuckToTableMm, units)} under its chuck; piece, backing and bit want ${formatLength(wanted, units)}.`
      : null;
  },
  'press-throat': ({ machine, piece, hole, units }) => {
    if (machine.throatMm === undefined || !isPress(machine)) return null;
    const face = faceOutline(piece.outline, hole.face ?? 'top');
    const shift = hole.face === 'base' && face.kind === 'circle' ? face.diameterMm / 2 : 0;
    const inMm = distanceToEdge(face, { xMm: hole.xMm + shift, yMm: hole.yMm + shift });
    return inMm > machine.throatMm
      ? `The mark lies ${formatLength(inMm, units)} in from the nearest edge; its throat is ${formatLength(machine.throatMm, units)}.`
      : null;
  },
  'twists-hands': ({ machine, byHand }) => {
    const { nm, clutch } = jamTorqueNm(machine);
    return byHand && clutch && nm > TWO_HANDS_NM
      ? `Its clutch slips at ${formatSignificant(nm, 2)} N·m; two hands hold ${TWO_HANDS_NM}.`
      : null;
  },
  'clutch-missing': ({ machine, byHand }) => {
    const { nm, clutch } = jamTorqueNm(machine);
    return byHand && !clutch && nm > TWO_HANDS_NM
      ? `No clutch slips, and jammed it twists with ${formatSignificant(nm, 2)} N·m; two hands hold ${TWO_HANDS_NM}.`
      : null;
  },
  'not-water-rated': ({ machine, water }) => {
    const kind = MACHINE_KINDS[machine.kind];
    const mains = (machine.power ?? kind.power) === 'mains';
    const sprays = water === 'spindle' || water === 'running-tap';
    return mains && sprays && !(machine.waterRated ?? kind.waterRated)
      ? 'A mains tool that is not made for water does not belong under running water.'
      : null;
  },
  'dry-not-allowed': ({ water, bit, materials }) =>
    water === 'none' &&
    (!BIT_FAMILIES[bit.family].mayRunDry ||
      materials.some((material) => material.class !== 'masonry' && !isTile(material)))
      ? 'Dry is for bits made for it, in masonry or tile.'
      : null,
};

/** Everything that stands in the way, gravest kinds in the registry's order. */
export function obstaclesTo(trial: Trial): Obstacle[] {
  return OBSTACLE_CODES.flatMap((code) => {
    const text = JUDGES[code](trial);
    return text === null ? [] : [{ code, text }];
  });
}

/** The longest reach owned extensions add for this bit on this machine, mm. */
function longestReach({ bit, machine, couplings }: Trial): number {
  const extensions = couplings.filter((one) => (one.lengthMm ?? 0) > 0);
  const others = couplings.filter((one) => !extensions.includes(one));
  return extensions.reduce((best, extension) => {
    const { shank } = bit;
    const goesOn = shank === undefined || couplingChain([extension.takes], shank, others) !== null;
    const joins = couplingChain(holdersOf(machine), extension.into, others);
    return goesOn && joins ? Math.max(best, chainReach([extension])) : best;
  }, 0);
}

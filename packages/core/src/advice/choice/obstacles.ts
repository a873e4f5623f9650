import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { COOLANTS, type CoolantId } from '../../data/coolants';
import { holdersOf } from '../../setup/takes';
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
import { isBuilding } from '../../data/pieceForms';
import { isTile } from '../../data/materials/materials';
import { ownReach, sticksOut } from '../../setup/operations/reach';
import { isUsable, machineFits, suits } from '../../setup/assumeSetup';

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
}

/** What is in the way, with the values that show it; null where it is not. */
type Judge = (trial: Trial) => object | null;

/** Room a press keeps between the bit's tip and the piece, mm. */
const PRESS_CLEARANCE_MM = 10;
/** Under half of the least speed it hardly cuts. */
const MIN_SPEED_SHARE = 0.5;

export const hasSpindleWater = (machine: Machine): boolean =>
  machine.spindleWater ?? MACHINE_KINDS[machine.kind].spindleWater;

const isPress = (machine: Machine): boolean => MACHINE_KINDS[machine.kind].hold === 'press';

/** Why a machine cannot be brought to a piece. */
type NotToPiece =
  | 'glass-grinder'
  | 'angle-grinder'
  | 'stand-core-drill'
  | 'press-to-building'
  | 'press-to-built'
  | 'press-too-small';

function notToPiece({ kind }: Machine, piece: Piece): NotToPiece {
  if (kind === 'glass-grinder' || kind === 'angle-grinder' || kind === 'stand-core-drill')
    return kind;
  if (isBuilding(piece)) return 'press-to-building';
  return piece.assembled ? 'press-to-built' : 'press-too-small';
}

const spentHow = ({ retired, state }: Bit): 'put-away' | 'bald' | 'out-of-true' =>
  retired ? 'put-away' : state === 'bald' ? 'bald' : 'out-of-true';

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

const JUDGES = {
  'bit-spent': ({ bit }) => (isUsable(bit) ? null : { state: spentHow(bit) }),
  'wrong-bit': ({ bit, materials }) => {
    const bad = materials.find((material) => !suits(bit.family, material));
    return bad ? { family: bit.family, material: bad.name } : null;
  },
  'machine-not-to-piece': ({ machine, piece, materials }) => {
    const [material] = materials;
    return material && !machineFits(machine, piece, material)
      ? { why: notToPiece(machine, piece) }
      : null;
  },
  'beyond-arms': ({ bit, machine, materials, byHand, hole }) => {
    const [material] = materials;
    if (!byHand || !material) return null;
    const geometry = bitGeometry(bit);
    const { glaze, low } = cuttingWindow(material, geometry).pressureMpa;
    const area = contactOf(geometry).contactAreaMm2;
    const aid = hole.setup?.feedAid ?? 'none';
    const { onePushN } = armForce('guided', machine, aid, (glaze / 2) * area);
    return low * area > onePushN
      ? { wantedN: low * area, maxN: onePushN, aided: aid !== 'none' }
      : null;
  },
  'does-not-fit': ({ bit: { shank }, machine, couplings }) => {
    const holders = holdersOf(machine);
    return !shank || couplingChain(holders, shank, couplings) ? null : { shank, holders };
  },
  'no-water-through-spindle': ({ water, machine, bit, couplings }) => {
    if (water !== 'spindle' || hasSpindleWater(machine)) return null;
    const joined = bit.shank
      ? couplingChain(holdersOf(machine), bit.shank, couplings, true)
      : couplings.some((one) => one.carriesWater);
    return joined ? null : {};
  },
  'slots-leak': ({ water, bit }) => (water === 'spindle' && bit.slotted ? {} : null),
  'bit-too-short': (trial) => {
    const geometry = bitGeometry(trial.bit);
    const { solid } = geometry;
    const reachMm = ownReach({ bit: trial.bit, geometry });
    const shortMm = trial.depthMm - reachMm;
    return shortMm <= 0 || (!solid && longestReach(trial) >= shortMm)
      ? null
      : { reachMm, shortMm, solid };
  },
  'not-slow-enough': ({ bit, machine, materials, water }) => {
    const [material] = materials;
    if (!material) return null;
    const window = cuttingWindow(material, bitGeometry(bit));
    const { rpm, rimSpeedMPerS, outsideWindow } = chooseSpeed({
      diameterMm: bit.diameterMm,
      wantedRimSpeedMPerS: paceTarget(window, 'steady').rimSpeedMPerS,
      window: window.rimSpeedMPerS,
      throwOffMPerS: COOLANTS[water].throwOffMPerS,
      bitMaxRpm: bit.maxRpm,
      settings: speedSettings(machine),
    });
    const overBit = bit.maxRpm !== undefined && rpm > bit.maxRpm * 1.001;
    return overBit || outsideWindow === 'above'
      ? {
          rpm,
          rimSpeedMPerS,
          highMPerS: window.rimSpeedMPerS.high,
          bitMaxRpm: overBit ? bit.maxRpm : undefined,
        }
      : null;
  },
  'not-fast-enough': ({ bit, machine, materials }) => {
    const [material] = materials;
    if (!material) return null;
    const { low } = cuttingWindow(material, bitGeometry(bit)).rimSpeedMPerS;
    const rpm = Math.max(...speedSettings(machine).map(({ maxRpm }) => maxRpm));
    const rimSpeedMPerS = rimSpeedAt(rpm, bit.diameterMm);
    return rimSpeedMPerS < low * MIN_SPEED_SHARE ? { rpm, rimSpeedMPerS, lowMPerS: low } : null;
  },
  'press-travel': ({ machine: { travelMm }, depthMm }) => {
    const wantedMm = depthMm + PRESS_CLEARANCE_MM / 2;
    return travelMm !== undefined && travelMm < wantedMm ? { travelMm, wantedMm } : null;
  },
  'press-room': ({ machine: { chuckToTableMm }, piece, bit, backingMm }) => {
    const wantedMm =
      backingMm +
      piece.thicknessMm +
      sticksOut({ bit, geometry: bitGeometry(bit) }) +
      PRESS_CLEARANCE_MM;
    return chuckToTableMm !== undefined && chuckToTableMm < wantedMm
      ? { roomMm: chuckToTableMm, wantedMm }
      : null;
  },
  'press-throat': ({ machine, piece, hole }) => {
    const { throatMm } = machine;
    if (throatMm === undefined || !isPress(machine)) return null;
    const face = faceOutline(piece.outline, hole.face ?? 'top');
    const shift = hole.face === 'base' && face.kind === 'circle' ? face.diameterMm / 2 : 0;
    const inMm = distanceToEdge(face, { xMm: hole.xMm + shift, yMm: hole.yMm + shift });
    return inMm > throatMm ? { inMm, throatMm } : null;
  },
  'twists-hands': ({ machine, byHand }) => {
    const { nm, clutch } = jamTorqueNm(machine);
    return byHand && clutch && nm > TWO_HANDS_NM ? { nm, handsNm: TWO_HANDS_NM } : null;
  },
  'clutch-missing': ({ machine, byHand }) => {
    const { nm, clutch } = jamTorqueNm(machine);
    return byHand && !clutch && nm > TWO_HANDS_NM ? { nm, handsNm: TWO_HANDS_NM } : null;
  },
  'not-water-rated': ({ machine, water }) => {
    const kind = MACHINE_KINDS[machine.kind];
    const mains = (machine.power ?? kind.power) === 'mains';
    const sprays = water === 'spindle' || water === 'running-tap';
    return mains && sprays && !(machine.waterRated ?? kind.waterRated) ? {} : null;
  },
  'dry-not-allowed': ({ water, bit, materials }) =>
    water === 'none' &&
    (!BIT_FAMILIES[bit.family].mayRunDry ||
      materials.some((material) => material.class !== 'masonry' && !isTile(material)))
      ? {}
      : null,
} as const satisfies Readonly<Record<ObstacleCode, Judge>>;

/** Why a bit, machine and water cannot make this hole: a code, and the values that show it. */
export type Obstacle = {
  [Code in ObstacleCode]: { readonly code: Code } & NonNullable<ReturnType<(typeof JUDGES)[Code]>>;
}[ObstacleCode];

/** Everything that stands in the way, gravest kinds in the registry's order. */
export function obstaclesTo(trial: Trial): Obstacle[] {
  return OBSTACLE_CODES.flatMap((code) => {
    const found = JUDGES[code](trial);
    return found === null ? [] : [{ code, ...found } as Obstacle];
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

import { BIT_FAMILIES, type BitFamilyId } from '../../data/bits/bitFamilies';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { usualShank } from '../../setup/usualBit';
import { connectionInLine } from '../../data/couplings/connections';
import { holdersOf, takes } from '../../setup/takes';
import { rpmForRimSpeed } from '../../physics/cutting/contact';
import { cuttingWindow } from '../../physics/cutting/pace';
import { TWO_HANDS_NM } from '../../physics/effort/handLimits';
import type { Machine } from '../../documents/kit';
import type { PlanInUnits } from '../plan/planInUnits';
import { fitsStand } from '../../setup/benchFit';
import { isBuilding } from '../../data/pieceForms';
import { suits, usualFamily } from '../../setup/assumeSetup';
import { formatForce, formatRpm, formatTorque } from '../units/formatQuantity';
import { formatLength, formatLengthShort } from '../units/length';

/** A specification to buy or hire by: what it must be, never whose. */
export interface ToGet {
  readonly bit: readonly string[];
  readonly machine: readonly string[];
}

/** Room between a core's top and the closed end of its barrel, mm. */
const BARREL_RESERVE_MM = 5;
/** Torque the machine should have over the cut's own, so that it does not stall. */
const TORQUE_RESERVE = 2;

/** The bit that is meant for this hole, and the machine that turns it as it should be turned. */
export function whatToGet(context: PlanInUnits, machines: readonly Machine[]): ToGet {
  return { bit: bitToGet(context, machines), machine: machineToGet(context) };
}

/** A family that suits every leaf: the usual one, else a segmented core. */
function familyFor({ piece, hole, layers, headline }: PlanInUnits): BitFamilyId {
  const usual = usualFamily(piece, hole.diameterMm, headline.material);
  const materials = layers.flatMap((layer) => layer.parts.map((part) => part.cut.material));
  return materials.every((material) => suits(usual, material)) ? usual : 'segmented-core';
}

function bitToGet(context: PlanInUnits, machines: readonly Machine[]): string[] {
  const { hole, fit, depthPerSideMm, units } = context;
  const family = familyFor(context);
  const { name, solid, diameterMm: range, mayRunDry } = BIT_FAMILIES[family];
  const usual = bitGeometry({ family, diameterMm: hole.diameterMm });
  const shank = usualShank(family, hole.diameterMm);
  const size = fit
    ? `${formatLength(fit.diameter.leastMm, units)} to ${formatLength(fit.diameter.mostMm, units)} outside, best ${formatLength(fit.diameter.targetMm, units)}`
    : `${formatLength(hole.diameterMm, units)} outside`;
  const wantedMm = depthPerSideMm + (solid ? 0 : BARREL_RESERVE_MM);
  const fitting = machines.filter((machine) =>
    holdersOf(machine).some((holder) => takes(holder, shank)),
  );
  const joined =
    machines.length === 0
      ? `usually with a ${connectionInLine(shank.kind)}`
      : fitting.length > 0
        ? `with a ${connectionInLine(shank.kind)}${shank.sizeMm ? ` of ${formatLengthShort(shank.sizeMm, units)}` : ''}, which ${fitting[0]?.name ?? ''} takes`
        : `that ${machines.map((machine) => machine.name).join(' or ')} takes, or an adapter for it`;
  return [
    `${name}, ${size}`,
    ...(solid ? [] : [`rim about ${formatLength(usual.rimWidthMm, units)} wide`]),
    `reaching at least ${formatLength(Math.ceil(wantedMm), units)}${wantedMm > usual.usableDepthMm ? ', or with an extension and the core broken out on the way' : ''}`,
    joined,
    ...(hole.diameterMm < range[0] || hole.diameterMm > range[1]
      ? [
          `a size this kind is seldom made in: ${formatLength(range[0], units)} to ${formatLength(range[1], units)} is usual`,
        ]
      : []),
    ...(mayRunDry ? ['no slots, if water is to come through the spindle'] : []),
  ];
}

function machineToGet(context: PlanInUnits): string[] {
  const { headline, hole, units, setup, piece } = context;
  const family = familyFor(context);
  const bit = bitGeometry({ family, diameterMm: hole.diameterMm });
  const v = cuttingWindow(headline.material, bit).rimSpeedMPerS;
  const rpm = (speed: number): string => formatRpm(rpmForRimSpeed(speed, hole.diameterMm));
  const torqueNm = headline.force.torqueNm * TORQUE_RESERVE;
  return [
    `${rpm(v.low)} to ${rpm(v.high)}, best ${rpm(v.best)}, without hammer`,
    `holding ${formatTorque(torqueNm, units)} without stalling`,
    ...(torqueNm > TWO_HANDS_NM / 2
      ? [
          `${fitsStand(piece) ? 'on a stand, or ' : ''}with a slip clutch set under ${formatTorque(TWO_HANDS_NM, units)} and a side handle`,
        ]
      : []),
    `pressed with about ${formatForce(headline.force.feedForceN, units)}`,
    ...(setup.coolant.id === 'spindle' || isBuilding(piece)
      ? ['water through its spindle, and a plug with a residual-current device']
      : ['battery driven or made for wet work']),
  ];
}

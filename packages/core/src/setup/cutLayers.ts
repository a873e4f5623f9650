import type { BitGeometry } from '../physics/cutting/bitGeometry';
import { runOutOf, runOutRateShare } from '../physics/cutting/wobble';
import { chooseSpeed, type ChosenSpeed } from '../physics/cutting/chooseSpeed';
import { contactOf, meanSpeedAt, rimSpeedAt, type Contact } from '../physics/cutting/contact';
import { feedForceFor, type FeedForce } from '../physics/cutting/feedForce';
import { cuttingWindow, paceTarget, type CuttingWindow } from '../physics/cutting/pace';
import { hammerRate } from '../physics/cutting/percussion';
import { penetrationRate } from '../physics/cutting/penetrationRate';
import { armForce, forceForCut } from '../physics/effort/armForce';
import type { Piece } from '../documents/piece';
import type { Material } from '../data/materials/material';
import { MACHINE_KINDS } from '../data/machines/machineKinds';
import { CAVITY, findMaterial } from '../data/materials/materials';
import { bitSharpness, lifeDepth } from '../physics/wear/sharpness';
import type { ResolvedBit, ResolvedSetup } from './resolvedSetup';

/** A stretch of depth of one leaf; a cavity has no parts. */
export interface DepthLayer {
  readonly id: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly parts: readonly { readonly material: Material; readonly share: number }[];
}

/** The leaves from the entry face down to a depth. */
export function layersTo(
  materials: readonly Material[],
  piece: Pick<Piece, 'material' | 'thicknessMm' | 'layers'>,
  depthMm: number,
): DepthLayer[] {
  const given = piece.layers?.length
    ? piece.layers
    : [{ material: piece.material, thicknessMm: piece.thicknessMm }];
  let fromMm = 0;
  const layers = given.map((layer): DepthLayer => {
    const start = fromMm;
    fromMm += layer.thicknessMm;
    const mix = layer.mix?.length ? layer.mix : [{ material: layer.material, share: 1 }];
    const parts =
      layer.material === CAVITY
        ? []
        : mix.map((part) => ({
            material: knownMaterial(materials, part.material),
            share: part.share,
          }));
    return { id: layer.material, fromMm: start, toMm: Math.min(fromMm, depthMm), parts };
  });
  return layers.filter((layer) => layer.toMm - layer.fromMm > 1e-9);
}

/** The same leaves met from the far face, down to a depth from there. */
export function layersFromFarFace(
  layers: readonly DepthLayer[],
  totalMm: number,
  depthMm: number,
): DepthLayer[] {
  return [...layers]
    .reverse()
    .map((layer) => ({
      ...layer,
      fromMm: totalMm - layer.toMm,
      toMm: Math.min(totalMm - layer.fromMm, depthMm),
    }))
    .filter((layer) => layer.toMm - layer.fromMm > 1e-9);
}

function knownMaterial(materials: readonly Material[], id: string): Material {
  const material = findMaterial(id, materials);
  if (!material) throw new Error(`Material ${id} passed the job check but is not known.`);
  return material;
}

/** One bit in one material: what it is pressed with and how fast it goes in. */
export interface MaterialCut {
  readonly material: Material;
  readonly bit: BitGeometry;
  readonly contact: Contact;
  readonly window: CuttingWindow;
  readonly speed: ChosenSpeed;
  readonly force: FeedForce;
  readonly sharpness: number;
  /** Depth cut in this material until half the bite is gone, mm. */
  readonly lifeDepthMm: number;
  readonly dry: boolean;
  /** Share of the rate that run-out leaves, 0 to 1. */
  readonly runOutShare: number;
  /** What the hammer adds, mm/s; 0 with it off. */
  readonly hammerMmPerS: number;
  /** So many times as long as calculated it takes, by the log. */
  readonly cuttingTimes: number;
  readonly rateMmPerS: number;
}

export interface LayerCut {
  readonly layer: DepthLayer;
  /** Diameter of the hole it follows, mm; 0 where it goes into the whole. */
  readonly pilotMm: number;
  /** The slowest of the layer's materials: it sets what is shown. */
  readonly slowest: MaterialCut | null;
  readonly parts: readonly { readonly cut: MaterialCut; readonly share: number }[];
  /** Harmonic mean over the mix, mm/s; Infinity in a cavity. */
  readonly rateMmPerS: number;
}

export function cutMaterial(
  material: Material,
  resolved: ResolvedBit,
  setup: ResolvedSetup,
  pilotMm: number,
  lengthMm: number,
): MaterialCut {
  const bit = resolved.geometry;
  const contact = contactOf(bit, pilotMm);
  const window = cuttingWindow(material, bit);
  const pace = paceTarget(window, setup.pace);
  const target = {
    rimSpeedMPerS: Math.min(pace.rimSpeedMPerS, setup.caps?.rimSpeedMPerS ?? Infinity),
    pressureMpa: Math.min(pace.pressureMpa, setup.caps?.pressureMpa ?? Infinity),
  };
  const speed = chooseSpeed({
    diameterMm: bit.diameterMm,
    wantedRimSpeedMPerS: setup.wanted.rimSpeedMPerS ?? target.rimSpeedMPerS,
    window: window.rimSpeedMPerS,
    throwOffMPerS: setup.coolant.throwOffMPerS,
    bitMaxRpm: resolved.bit.maxRpm,
    settings: setup.settings,
  });
  const dry = setup.coolant.kind === 'dry';
  const life = lifeDepth(bit.family, material, { dry: false, tooFast: false, tooHard: false });
  const sharpness = bitSharpness(resolved.bit, life.p50);
  const runOutShare = runOutRateShare(bit, runOutOf(resolved.bit));
  const { blows } = MACHINE_KINDS[setup.machine.kind];
  const hammerMmPerS = setup.hammer ? hammerRate(material, blows, contact.kerfAreaMm2) : 0;
  const own = {
    material,
    bit,
    contact,
    window,
    speed,
    sharpness,
    dry,
    runOutShare,
    hammerMmPerS,
    cuttingTimes: setup.cuttingTimes,
  };
  const idleN = (window.pressureMpa.glaze / 2) * contact.contactAreaMm2;
  const arms = armForce(setup.hold, setup.machine, setup.feedAid, idleN);
  // As long as it takes a true, sharp bit: nobody presses less because the bit is dull.
  const asNew = { ...own, sharpness: 1, runOutShare: 1, force: { speedShare: 1 } };
  const lasting = rateAt(asNew, arms.lastingN, speed.rpm);
  const force = feedForceFor(
    setup.wanted.contactPressureMpa ?? target.pressureMpa,
    material.friction,
    contact,
    {
      ...driveOf(setup, speed),
      armsN: forceForCut(arms, lasting > 0 ? lengthMm / lasting : Infinity),
    },
  );
  const rateMmPerS = rateAt({ ...own, force }, force.feedForceN, speed.rpm);
  return { ...own, force, lifeDepthMm: life.p50, rateMmPerS };
}

/** What the machine gives at a chosen speed. */
const driveOf = ({ machine }: ResolvedSetup, { rpm, setting }: ChosenSpeed) => ({
  rpm,
  freeRpm: setting.maxRpm,
  stallTorqueNm: setting.stallTorqueNm,
  ratedPowerW: machine.ratedPowerW ?? MACHINE_KINDS[machine.kind].ratedPowerW,
  sags: MACHINE_KINDS[machine.kind].sags,
});

/** Rate of the same cut at another force and speed, mm/s: seating, easing off. */
export function rateAt(
  cut: Omit<MaterialCut, 'rateMmPerS' | 'lifeDepthMm' | 'force'> & {
    readonly force: Pick<FeedForce, 'speedShare'>;
  },
  forceN: number,
  rpm: number,
): number {
  const loadedRpm = rpm * cut.force.speedShare;
  const rate = penetrationRate(cut.material, cut.bit, {
    p: forceN / cut.contact.contactAreaMm2,
    v_m: meanSpeedAt(loadedRpm, cut.contact.meanRadiusMm),
    v: rimSpeedAt(loadedRpm, cut.bit.diameterMm),
    s: cut.sharpness,
    dry: cut.dry,
  });
  return (rate * cut.runOutShare + cut.hammerMmPerS) / cut.cuttingTimes;
}

export function cutLayer(
  layer: DepthLayer,
  bit: ResolvedBit,
  setup: ResolvedSetup,
  pilotMm: number,
): LayerCut {
  const parts = layer.parts.map(({ material, share }) => ({
    cut: cutMaterial(material, bit, setup, pilotMm, layer.toMm - layer.fromMm),
    share,
  }));
  const slowest = parts.reduce<MaterialCut | null>(
    (slow, { cut }) => (slow === null || cut.rateMmPerS < slow.rateMmPerS ? cut : slow),
    null,
  );
  const slowness = parts.reduce((sum, { cut, share }) => sum + share / cut.rateMmPerS, 0);
  return { layer, pilotMm, slowest, parts, rateMmPerS: slowness === 0 ? Infinity : 1 / slowness };
}

/** The slowest leaf's cut: what the big numbers show. */
export function slowestOf(layers: readonly LayerCut[]): MaterialCut {
  const cuts = layers.flatMap((layer) => (layer.slowest ? [layer.slowest] : []));
  const [first, ...rest] = cuts;
  if (!first) throw new Error('A piece needs at least one solid layer; the job check sees to it.');
  return rest.reduce((slow, cut) => (cut.rateMmPerS < slow.rateMmPerS ? cut : slow), first);
}

import type { Hole } from '../documents/hole';
import type { Material } from '../data/materials/material';
import { selfCrossing } from '../math/crossing';
import { boundingBox, distanceToEdge, faceOutline, polygonSides } from '../layout/outline';
import type { Outline, PolygonOutline } from '../documents/outline';
import { MAX_APART } from '../layout/thickness';
import { CAVITY, findMaterial } from '../data/materials/materials';
import { checkIds, checkKit } from './checkKit';
import type { Add, JobFault } from './jobFault';
import { checkSupport } from './checkSupport';
import { givenOperations } from './operations/givenOperations';
import type { JobFile } from '../documents/jobFile';
import type { Layer, Piece, PieceWithHoles } from '../documents/piece';

/** What can clash: pieces with holes, the kit they name, and materials of one's own. */
type Checked = Pick<JobFile, 'pieces' | 'kit' | 'customMaterials'>;

/** Rounding room in stored lengths, mm. */
const LENGTH_TOLERANCE_MM = 0.01;

/**
 * What a schema cannot see: names that point nowhere, holes off the piece, bits bigger than the
 * piece, layers that do not add up. Expects a file of the right shape; returns every fault.
 */
export function checkJob(file: Checked): JobFault[] {
  const faults: JobFault[] = [];
  const add: Add = (pointer, clash) => {
    faults.push({ pointer, ...clash });
  };
  checkIds(file.pieces, '/pieces', 'piece', add);
  checkKit(file.kit ?? {}, '/kit', add);
  checkIds(file.customMaterials ?? [], '/customMaterials', 'material', add);
  file.customMaterials?.forEach((material, index) => {
    checkCustomMaterial(material, `/customMaterials/${index}`, add);
  });
  checkHoleIds(file.pieces, add);
  file.pieces.forEach((piece, index) => {
    checkPiece(file, piece, `/pieces/${index}`, add);
  });
  return faults;
}

/** A run, a plan or a template names a hole by its id alone, so no two of a file have the same. */
function checkHoleIds(pieces: Checked['pieces'], add: Add): void {
  const seen = new Map<string, string>();
  pieces.forEach((piece, index) => {
    piece.holes.forEach(({ id }, place) => {
      const owner = seen.get(id);
      if (owner !== undefined)
        add(`/pieces/${index}/holes/${place}/id`, {
          code: owner === piece.id ? 'hole-twice-in-piece' : 'hole-in-another-piece',
          id,
        });
      else seen.set(id, piece.id);
    });
  });
}

function checkPiece(file: Checked, piece: PieceWithHoles, at: string, add: Add): void {
  checkMaterial(file, piece.material, `${at}/material`, add);
  piece.couldBe?.forEach((one, index) => {
    checkMaterial(file, one.material, `${at}/couldBe/${index}/material`, add);
  });
  checkReadings(piece, at, add);
  if (piece.outline.kind === 'polygon') checkPolygon(piece.outline, `${at}/outline`, add);
  checkIds(piece.keepOff ?? [], `${at}/keepOff`, 'marked place', add);
  checkIds(piece.services ?? [], `${at}/services`, 'band', add);
  checkLayers(file, piece, at, add);
  piece.holes.forEach((hole, index) => {
    checkHole(file, piece, hole, `${at}/holes/${index}`, add);
  });
}

function checkPolygon(outline: PolygonOutline, at: string, add: Add): void {
  const { pointsMm, bulges } = outline;
  if (new Set(pointsMm.map(String)).size < 3) {
    add(`${at}/pointsMm`, { code: 'too-few-points' });
    return;
  }
  if (bulges && bulges.length > pointsMm.length) {
    add(`${at}/bulges`, {
      code: 'too-many-bulges',
      bulges: bulges.length,
      sides: pointsMm.length,
    });
    return;
  }
  const crossing = selfCrossing(polygonSides(outline));
  if (crossing) add(`${at}/pointsMm`, { code: 'outline-crosses-itself', ...crossing });
}

function checkMaterial(file: Checked, id: string, at: string, add: Add): void {
  if (findMaterial(id, file.customMaterials)) return;
  add(at, { code: 'material-unknown', id });
}

/** The windows must rise from the first word to the last. */
function checkCustomMaterial(material: Material, at: string, add: Add): void {
  const rising = (window: object, where: string, unit: string): void => {
    const steps = Object.entries(window) as [string, number][];
    steps.slice(1).forEach(([name, value], index) => {
      const [lower, min] = steps[index] ?? ['', -Infinity];
      if (value < min)
        add(`${at}/${where}/${name}`, {
          code: 'window-falls',
          material: material.name,
          name,
          value,
          lower,
          min,
          unit,
        });
    });
  };
  const { glaze, low, best, high } = material.pressureMpa;
  rising({ glaze, low, best, high }, 'pressureMpa', 'MPa');
  const v = material.rimSpeedMPerS;
  rising({ low: v.low, best: v.best, high: v.high }, 'rimSpeedMPerS', 'm/s');
}

function checkReadings(
  { thicknessReadingsMm: readings = [], thicknessMm }: Piece,
  at: string,
  add: Add,
): void {
  if (readings.length === 0) return;
  const [thinnest, thickest] = [Math.min(...readings), Math.max(...readings)];
  const mostMm = thinnest * MAX_APART;
  if (thickest > mostMm)
    add(`${at}/thicknessReadingsMm/${readings.indexOf(thickest)}`, {
      code: 'readings-apart',
      thinnestMm: thinnest,
      thickestMm: thickest,
      mostMm,
    });
  if (
    thicknessMm < thinnest - LENGTH_TOLERANCE_MM ||
    thicknessMm > thickest + LENGTH_TOLERANCE_MM
  ) {
    add(`${at}/thicknessMm`, {
      code: 'outside-readings',
      thicknessMm,
      thinnestMm: thinnest,
      thickestMm: thickest,
    });
  }
}

function checkLayers(file: Checked, piece: Piece, at: string, add: Add): void {
  const layers = piece.layers ?? [];
  if (layers.length === 0) return;
  layers.forEach((layer: Layer, index) => {
    const here = `${at}/layers/${index}`;
    if (layer.material !== CAVITY) checkMaterial(file, layer.material, `${here}/material`, add);
    layer.mix?.forEach((part, part_) => {
      checkMaterial(file, part.material, `${here}/mix/${part_}/material`, add);
    });
    const shares = layer.mix?.reduce((sum, part) => sum + part.share, 0) ?? 1;
    if (Math.abs(shares - 1) > 0.01) add(`${here}/mix`, { code: 'shares-not-one', shares });
  });
  if (layers[0]?.material === CAVITY || layers.at(-1)?.material === CAVITY) {
    add(`${at}/layers`, { code: 'cavity-at-face' });
  }
  const total = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  if (Math.abs(total - piece.thicknessMm) > LENGTH_TOLERANCE_MM) {
    add(`${at}/layers`, {
      code: 'layers-not-thickness',
      totalMm: total,
      thicknessMm: piece.thicknessMm,
    });
  }
}

function checkHole(file: Checked, piece: Piece, hole: Hole, at: string, add: Add): void {
  const face = faceOutline(piece.outline, hole.face ?? 'top');
  checkPlace(face, piece, hole, at, add);
  const { depth } = hole;
  if (depth.kind !== 'through' && depth.depthMm >= piece.thicknessMm) {
    add(`${at}/depth/depthMm`, {
      code: 'goes-through',
      depth: depth.kind,
      depthMm: depth.depthMm,
      thicknessMm: piece.thicknessMm,
    });
  }
  checkSetup(file, face, hole, at, add);
  checkOperations(file, face, piece, hole, `${at}/operations`, add);
}

function checkPlace(face: Outline, piece: Piece, hole: Hole, at: string, add: Add): void {
  // A round base is measured from its centre, all else from its lower left corner.
  const fromCentre = hole.face === 'base' && face.kind === 'circle';
  const shift = fromCentre ? face.diameterMm / 2 : 0;
  const clear = distanceToEdge(face, { xMm: hole.xMm + shift, yMm: hole.yMm + shift });
  const { xMm, yMm, diameterMm } = hole;
  const name = hole.label ?? hole.id;
  if (clear <= 0) {
    const { widthMm, heightMm } = boundingBox(face);
    add(at, {
      code: 'hole-off-piece',
      hole: name,
      piece: piece.name,
      xMm,
      yMm,
      widthMm,
      heightMm,
    });
  } else if (clear < diameterMm / 2 - LENGTH_TOLERANCE_MM) {
    add(at, { code: 'hole-over-edge', hole: name, piece: piece.name, diameterMm, clearMm: clear });
  }
}

function checkSetup(file: Checked, face: Outline, hole: Hole, at: string, add: Add): void {
  const { setup } = hole;
  if (!setup) return;
  checkSupport(setup.support ?? {}, face, `${at}/setup/support`, add);
  checkBit(file, face, setup.bit, `${at}/setup/bit`, add);
  setup.bits?.forEach((id, index) => {
    checkBit(file, face, id, `${at}/setup/bits/${index}`, add);
  });
  checkMachine(file, setup.machine, `${at}/setup/machine`, add);
}

function checkBit(
  file: Checked,
  face: Outline,
  id: string | undefined,
  at: string,
  add: Add,
): void {
  if (id === undefined) return;
  const bits = file.kit?.bits ?? [];
  const box = boundingBox(face);
  const min = Math.min(box.widthMm, box.heightMm);
  const bit = bits.find((candidate) => candidate.id === id);
  if (!bit) add(at, { code: 'bit-not-in-kit', id, known: idsOf(bits) });
  else if (bit.diameterMm >= min)
    add(at, {
      code: 'bit-bigger-than-piece',
      bit: bit.name,
      diameterMm: bit.diameterMm,
      acrossMm: min,
    });
}

function checkMachine(file: Checked, id: string | undefined, at: string, add: Add): void {
  const machines = file.kit?.machines ?? [];
  if (id === undefined || machines.some((machine) => machine.id === id)) return;
  add(at, { code: 'machine-not-in-kit', id, known: idsOf(machines) });
}

/** Names first; what the operations do to each other only where all that they name is there. */
function checkOperations(
  file: Checked,
  face: Outline,
  piece: Piece,
  hole: Hole,
  at: string,
  add: Add,
): void {
  const { operations = [] } = hole;
  if (operations.length === 0) return;
  let isKnown = pieceMaterials(piece).every((id) => findMaterial(id, file.customMaterials));
  const named: Add = (pointer, clash) => {
    isKnown = false;
    add(pointer, clash);
  };
  checkIds(operations, at, 'operation', named);
  operations.forEach(({ bitId, machineId, couplingIds = [] }, index) => {
    checkBit(file, face, bitId, `${at}/${index}/bitId`, named);
    checkMachine(file, machineId, `${at}/${index}/machineId`, named);
    couplingIds.forEach((id, place) => {
      const couplings = file.kit?.couplings ?? [];
      if (!couplings.some((one) => one.id === id))
        named(`${at}/${index}/couplingIds/${place}`, {
          code: 'coupling-not-in-kit',
          id,
          known: idsOf(couplings),
        });
    });
  });
  if (!isKnown) return;
  const { kit = {}, customMaterials: materials = [] } = file;
  const drillCase = { job: {}, piece, hole, kit, materials, habits: {} };
  for (const { index, field, clash } of givenOperations(drillCase).clashes)
    add(index === null ? at : `${at}/${index}${field ? `/${field}` : ''}`, clash);
}

/** Every material a piece names, cavities left out. */
const pieceMaterials = ({ material, layers = [] }: Piece): readonly string[] => [
  material,
  ...layers.flatMap((layer) => [
    ...(layer.material === CAVITY ? [] : [layer.material]),
    ...(layer.mix ?? []).map((part) => part.material),
  ]),
];

const idsOf = (items: readonly { readonly id: string }[]): readonly string[] =>
  items.map(({ id }) => id);

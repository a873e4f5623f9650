import type { GlassTreatment, PieceForm } from '../../data/choices';
import type { NominalSizeId } from '../../data/nominalSizes';
import type { Hole } from '../../documents/hole';
import type { Outline } from '../../documents/outline';
import type { Piece } from '../../documents/piece';
import type { MaterialId } from '../../data/materials/materials';
import type { Material } from '../../data/materials/material';
import { outlineCentre, type PointMm } from '../../layout/outline';
import type { Field } from '../../layout/purposes/field';
import { holeFromFit } from '../../layout/purposes/holeFromFit';
import {
  isPurposeKind,
  PURPOSES,
  sceneOf,
  sizeFor,
  type PurposeKind,
  type PurposeOfHole,
} from '../../layout/purposes/purposes';
import { withLayers } from '../../setup/withLayers';
import { markOf } from '../identify/knowMarks';
import { presumeOutline, usualForm } from '../presumePiece';
import {
  isNotSure,
  lengthsOf,
  makeOf,
  materialOf,
  USUAL,
  workpieceOf,
  type Answers,
} from './answers';
import { isWallBuildId, mainMaterial, WALL_BUILD_IDS, wallLeaves } from './wallBuilds';
import type { Workpiece } from './workpieces';

/** A piece and its hole as they are to be stored, and how many alike. */
export interface Started {
  readonly piece: Omit<Piece, 'id' | 'name'>;
  readonly hole: Omit<Hole, 'id' | 'label'>;
  readonly count: number;
}

/** Behind a tile on a wall: its adhesive, and what it is stuck to, mm. */
const ADHESIVE_MM = 5;
const BEHIND_TILE_MM = 100;
/** A plug of usual make is five times as long as wide. */
const PLUG_LENGTHS = 5;
/** A post stands this far in where the slab is deep enough, mm. */
const EMBEDMENT_MM = 150;
/** Concrete left below a socket, with the room its grout wants, mm. */
const BELOW_SOCKET_MM = 80;
/** Clear of the rounded heel of a bottle or pot, and of a tank’s seam: tank builders’ 40 mm. */
const CLEAR_OF_SEAM_MM = 40;
/** A hole is presumed in something so many times as wide. */
const ROOMY_DIAMETERS = 4;
/** From the back edge of a worktop to a tap, mm. */
const TAP_FROM_EDGE_MM = 70;

/** The field of a part that it is sold by. */
export function soldBy(kind: PurposeKind): { readonly name: string; readonly sold: NominalSizeId } {
  const fields: Readonly<Record<string, Field>> = PURPOSES[kind].fields;
  for (const [name, field] of Object.entries(fields))
    if (field.kind === 'length' && field.sold) return { name, sold: field.sold };
  throw new Error(`No field of “${kind}” is sold by a size.`);
}

const embedmentMm = (slabMm: number): number =>
  Math.min(EMBEDMENT_MM, Math.max(slabMm - BELOW_SOCKET_MM, slabMm / 2));

/** The part with what follows from its size, where nobody has measured more of it. */
function partOf(kind: PurposeKind, mm: number, thicknessMm: number): PurposeOfHole {
  const purpose = { kind, [soldBy(kind).name]: mm };
  if (kind === 'wall-plug')
    return { ...purpose, plugLengthMm: PLUG_LENGTHS * mm, tileThicknessMm: thicknessMm };
  if (kind === 'post-socket') return { ...purpose, embedmentMm: embedmentMm(thicknessMm) };
  return purpose;
}

const flangeOf = ({ flange }: Answers) =>
  flange === undefined || flange === USUAL ? {} : { flangeDiameterMm: Number(flange) };

/** A flange wide enough not to matter, to size the hole by; it is not kept, so that it stays to be asked. */
const whereUnmeasured = ({ threadDiameterMm }: PurposeOfHole) =>
  typeof threadDiameterMm === 'number' ? { flangeDiameterMm: 2 * threadDiameterMm } : {};

const WALL_TILE = 'wall-tile';

/** Of a tank, the pane that is drilled: its two lengths of three. */
function paneOf([long = 0, deep = 0, high = 0]: readonly number[], pane: string | undefined) {
  if (pane === 'base') return { widthMm: long, heightMm: deep };
  return { widthMm: pane === 'long' ? long : deep, heightMm: high };
}

/** A usual size it goes into with room to spare, where it is not measured. */
function usualLengths({ sizes: { metric } }: Workpiece, diameterMm: number): readonly number[] {
  const roomy = metric.find(({ mm }) => Math.min(...mm) >= ROOMY_DIAMETERS * diameterMm);
  return (roomy ?? metric.at(-1))?.mm ?? [];
}

function outlineOf(workpiece: Workpiece, answers: Answers, diameterMm: number): Outline {
  const given = lengthsOf(answers.size);
  const lengths = given.length > 0 ? given : usualLengths(workpiece, diameterMm);
  const [a = 0, b = 0] = lengths;
  switch (workpiece.measures) {
    case 'across':
      return { kind: 'circle', diameterMm: a };
    case 'face':
      return { kind: 'rectangle', widthMm: a, heightMm: b };
    case 'vessel':
      return { kind: 'cylinder', outerDiameterMm: a, heightMm: b };
    case 'tank':
      return { kind: 'rectangle', ...paneOf(lengths, answers.pane) };
  }
}

/** Where a person would first put it: clear of seams and edges, else in the middle. */
function placeOf(
  { thing, pane, face, place, thickness }: Answers,
  outline: Outline,
  diameterMm: number,
): PointMm {
  const centre = outlineCentre(outline);
  if (face === 'base') return { xMm: 0, yMm: 0 };
  const D = diameterMm;
  const top = 2 * centre.yMm;
  const below = (fromEdgeMm: number): PointMm => ({
    ...centre,
    yMm: Math.max(centre.yMm, top - fromEdgeMm),
  });
  if (face === 'side') return { ...centre, yMm: Math.min(centre.yMm, CLEAR_OF_SEAM_MM + D / 2) };
  if (thing === 'built-tank' && pane !== 'base')
    return below(Math.max(CLEAR_OF_SEAM_MM, 2 * D) + D / 2);
  if (place === 'end') return below(Number(thickness) + D / 2);
  if (thing === 'worktop') return below(Math.max(TAP_FROM_EDGE_MM, 1.5 * D));
  return centre;
}

/** Nobody marks finer, and sums over a circumference have no end of figures. */
const hundredths = ({ xMm, yMm }: PointMm): PointMm => ({
  xMm: Math.round(xMm * 100) / 100,
  yMm: Math.round(yMm * 100) / 100,
});

function formOf(answers: Answers, material: Pick<Material, 'class' | 'usualForm'>): PieceForm {
  const workpiece = workpieceOf(answers);
  if (!workpiece) return usualForm(material);
  return answers.thing === 'paving' && answers.fixed === 'fixed' ? 'floor' : workpiece.form;
}

/** Its leaves from the face that is entered; a thickness alone where it is of one kind through. */
function leavesOf({ thing, build, entry }: Answers, material: MaterialId, thicknessMm: number) {
  if (thing === WALL_TILE)
    return withLayers([
      { material, thicknessMm },
      { material: 'mortar', thicknessMm: ADHESIVE_MM },
      { material: 'clay-brick', thicknessMm: BEHIND_TILE_MM },
    ]);
  const layers =
    build !== undefined && isWallBuildId(build)
      ? wallLeaves(build, thicknessMm, entry === 'outside' ? 'outside' : 'inside')
      : undefined;
  return layers ? withLayers(layers) : {};
}

/** What it may be where nobody is sure, each as likely. */
function mayBe(answers: Answers): Pick<Piece, 'couldBe'> {
  const builds = answers.build === undefined ? [] : WALL_BUILD_IDS.map(mainMaterial);
  const makes = (workpieceOf(answers)?.makes ?? []).map(({ material }) => material);
  const ids = [...new Set(answers.build === undefined ? makes : builds)];
  return ids.length > 1
    ? { couldBe: ids.map((material) => ({ material, share: 1 / ids.length })) }
    : {};
}

function knowingOf(answers: Answers, material: Material): Pick<Piece, 'couldBe' | 'knowing'> {
  if (!isNotSure(answers)) return {};
  return {
    ...mayBe(answers),
    knowing: {
      kind: material.class,
      answers: { [markOf('kind')]: material.class, [markOf('which')]: 'help' },
    },
  };
}

const treatmentOf = (answers: Answers, { class: kind }: Material): GlassTreatment | undefined =>
  kind === 'glass'
    ? ((answers.treatment as GlassTreatment | undefined) ?? makeOf(answers)?.treatment ?? 'unknown')
    : undefined;

/** How deep, where no part says: through; the tile and its adhesive alone; a socket part way. */
function depthOf({ thing }: Answers, thicknessMm: number): Hole['depth'] {
  if (thing === WALL_TILE) return { kind: 'blind', depthMm: thicknessMm + ADHESIVE_MM };
  if (thing === 'post-socket') return { kind: 'blind', depthMm: embedmentMm(thicknessMm) };
  return { kind: 'through' };
}

/**
 * A piece and its hole from the few things said of them, as a person would start: form, size, leaves, support and
 * water follow from what it is, the place from where such holes are usually wanted.
 * @param answers with nothing left to ask
 */
export function startPiece(answers: Answers): Started {
  const workpiece = workpieceOf(answers);
  const build = answers.build;
  const walled = build !== undefined && isWallBuildId(build) ? build : undefined;
  const material = materialOf(answers);
  if (!material) throw new Error(`“${answers.make ?? ''}” is no material.`);
  const thicknessMm = Number(answers.thickness);
  const kind = answers.through ?? '';
  const purpose = isPurposeKind(kind)
    ? { ...partOf(kind, Number(answers.part), thicknessMm), ...flangeOf(answers) }
    : undefined;
  const form = formOf(answers, material);
  const materialId = walled ? mainMaterial(walled) : (material.id as MaterialId);
  const leaves = leavesOf(answers, materialId, thicknessMm);
  const built = { form, thicknessMm, outline: presumeOutline(form, 1), ...leaves };
  const scene = sceneOf(built, material);
  const sizing = purpose ? sizeFor({ ...whereUnmeasured(purpose), ...purpose }, scene) : null;
  const fit =
    purpose && sizing?.kind === 'sized'
      ? holeFromFit({}, purpose, sizing.numbers, undefined)
      : null;
  const diameterMm = fit?.diameterMm ?? Number(isPurposeKind(kind) ? answers.part : kind);
  const outline = workpiece
    ? outlineOf(workpiece, answers, diameterMm)
    : presumeOutline(form, diameterMm);
  const glassTreatment = treatmentOf(answers, material);
  const assembled =
    workpiece?.assembled ?? (answers.thing === 'worktop' && answers.fixed === 'fixed');
  return {
    piece: {
      form,
      material: materialId,
      thicknessMm,
      outline,
      ...(glassTreatment ? { glassTreatment } : {}),
      ...(assembled ? { assembled } : {}),
      ...knowingOf(answers, material),
      ...leaves,
    },
    hole: {
      ...hundredths(placeOf(answers, outline, diameterMm)),
      diameterMm,
      depth: depthOf(answers, thicknessMm),
      ...(answers.face === 'side' || answers.face === 'base' ? { face: answers.face } : {}),
      ...(form === 'vessel' && answers.face === undefined ? { face: 'side' as const } : {}),
      ...(purpose ? { purpose } : {}),
      ...(fit ? { depth: fit.depth, ...(fit.fall ? { fall: fit.fall } : {}) } : {}),
      ...(workpiece?.water ? { setup: { water: { kind: workpiece.water } } } : {}),
    },
    count: Number(answers.count ?? 1),
  };
}

import type { Primitive, Section } from '../math/primitives';
import type { BarePlan } from '../documents/plan';
import { depthBand } from '../run/runFigures';
import { legOf, type RunState } from '../run/runState';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';
import { planOfCut } from './planOfCut';
import { sectionOf } from './sectionOf';

/** A band thinner than this is not drawn, mm. */
const MIN_BAND_MM = 0.05;

/** The section as the run stands: the rim where it is calculated to be, and between what depths it may be. */
export function runSection(state: RunState, units: UnitSystem): Section {
  const { depthMm, subject } = state;
  const shown = planOfLeg(state);
  const section = sectionOf(shown, {
    pieceThicknessMm: subject.thicknessMm,
    units,
    atDepthMm: depthMm,
  });
  const { fromMm, toMm } = depthBand(state);
  const R = shown.setup.bitDiameterMm / 2;
  const edge = (z: number): Primitive => ({
    kind: 'line',
    x0: -R * 1.35,
    x1: R * 1.35,
    z0: z,
    z1: z,
    tone: 'rim',
    dashed: true,
  });
  const isDrawn = toMm - fromMm > MIN_BAND_MM;
  return {
    ...section,
    primitives: [...section.primitives, ...(isDrawn ? [edge(fromMm), edge(toMm)] : [])],
    labels: section.labels.filter(({ side }) => side !== 'force' && side !== 'speed'),
    description: `Section to scale: the rim of ${shown.setup.bitName} about ${formatLengthShort(depthMm, units)} deep of ${formatLengthShort(legOf(state).depthMm, units)}${isDrawn ? `, between ${formatLengthShort(fromMm, units)} and ${formatLengthShort(toMm, units)}` : ''}.`,
  };
}

/** The cut under way. */
function planOfLeg({ plan, leg, legs }: RunState): BarePlan {
  const now = legs[leg];
  if (!now) return plan;
  return planOfCut(plan, {
    ...now,
    face: now.side === 1 ? 'near' : 'far',
    toMm: now.depthMm,
    stages: now.strokes,
    liftsAtMm: now.stops.filter(({ kind }) => kind === 'lift').map(({ depthMm }) => depthMm),
  });
}

import { HEAT_GAIN } from '../physics/heat/boiling';
import { thermalStress } from '../physics/heat/thermalStress';
import type { CrackOdds } from '../physics/strength/crackOdds';
import { cutLayer, slowestOf, type DepthLayer } from '../setup/cutLayers';
import { planCrack, type CrackCase } from './planCrack';
import { heatOf } from './planRim';
import { planExit, type ExitPlan } from './planStages';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** The crack as planned; where nobody is sure of the material no less likely than if it were known. */
export function crackOf(
  crackCase: CrackCase,
  depthLayers: readonly DepthLayer[],
  setup: ResolvedSetup,
  at: { readonly pilotMm: number; readonly depthMm: number; readonly exit: ExitPlan | null },
): CrackOdds {
  const own = planCrack(crackCase);
  if (crackCase.possible.length === 0) return own;
  // Not being sure takes force back, which alone would make it look safer.
  const sure = ifSure(crackCase, depthLayers, { ...setup, caps: undefined }, at);
  return sure.total > own.total ? { ...own, byStress: sure.byStress, total: sure.total } : own;
}

/** The crack of the same hole if it were known to be what it is planned as. */
function ifSure(
  crackCase: CrackCase,
  depthLayers: readonly DepthLayer[],
  setup: ResolvedSetup,
  at: { readonly pilotMm: number; readonly depthMm: number; readonly exit: ExitPlan | null },
): CrackOdds {
  const { bending, piece, exitForceN, cut } = crackCase;
  const sure = slowestOf(
    depthLayers.map((layer) => cutLayer(layer, setup.finishing, setup, at.pilotMm)),
  );
  const heat = heatOf(sure, setup, at.depthMm);
  const harder = sure.force.feedForceN / cut.force.feedForceN;
  const eased =
    at.exit && exitForceN > 0
      ? planExit(sure, piece, setup, at.exit.allowedChipMm).exitForceN
      : exitForceN;
  return planCrack({
    ...crackCase,
    cut: sure,
    thermalStressMpa: thermalStress(sure.material, heat.tempRiseK),
    heatGain: HEAT_GAIN[heat.boiling],
    bending:
      bending.kind === 'bent'
        ? {
            ...bending,
            stressMpa: bending.atRestMpa + (bending.stressMpa - bending.atRestMpa) * harder,
          }
        : bending,
    exitForceN: eased,
    possible: [],
  });
}

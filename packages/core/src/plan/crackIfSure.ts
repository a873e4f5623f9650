import { HEAT_GAIN } from '../physics/heat/boiling';
import { thermalStress } from '../physics/heat/thermalStress';
import type { CrackOdds } from '../physics/strength/crackOdds';
import { cutLayer, slowestOf, type LayerCut } from '../setup/cutLayers';
import { planCrack, type CrackCase } from './planCrack';
import { heatOf } from './planRim';
import { planExit, type ExitPlan } from './planStages';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** What a cut is worked out from once more, as if the material were known. */
export interface CutAgain {
  readonly layers: readonly LayerCut[];
  readonly lengthMm: number;
  readonly exit: ExitPlan | null;
  readonly opensFace: boolean;
}

/** The crack as planned; where nobody is sure of the material no less likely than if it were known. */
export function crackOf(crackCase: CrackCase, cut: CutAgain): CrackOdds {
  const own = planCrack(crackCase);
  if (crackCase.possible.length === 0) return own;
  // Not being sure takes force back, which alone would make it look safer.
  const sure = ifSure(crackCase, cut);
  return sure.total > own.total ? { ...own, byStress: sure.byStress, total: sure.total } : own;
}

/** The crack of the same hole if it were known to be what it is planned as. */
function ifSure(crackCase: CrackCase, { layers, lengthMm, exit, opensFace }: CutAgain): CrackOdds {
  const { bending, piece, exitForceN, cut } = crackCase;
  const setup: ResolvedSetup = { ...crackCase.setup, caps: undefined };
  const sure = slowestOf(
    layers.map(({ layer, pilotMm }) => cutLayer(layer, setup.finishing, setup, pilotMm)),
  );
  const heat = heatOf(sure, setup, lengthMm);
  const harder = sure.force.feedForceN / cut.force.feedForceN;
  const eased =
    exit && exitForceN > 0
      ? planExit(sure, piece, setup, exit.allowedChipMm, opensFace).exitForceN
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

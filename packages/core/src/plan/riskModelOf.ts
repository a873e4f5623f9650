import { exitChipWidth } from '../breakthrough/exitChip';
import { bearableStress, builtInStress } from '../risk/crackOdds';
import { handlingSd } from '../risk/handlingHazard';
import type { RiskCut, RiskIdentity, RiskModel } from '../risk/riskModel';
import type { PlannedStage } from './plan';
import { handlingCase, sheetThickness, stressSites, weakness } from './planCrack';
import type { PlanContext } from './planContext';
import { mixSd } from './planTime';
import { cutIfOther } from './possibilities';
import { PAUSES_SD, rateSd, SHARPNESS_SD, shellingSd, stressSpread, TOUGHNESS_SD } from './spread';

/** The hole as the Monte Carlo sees it: the plan's own middles and spreads. */
export function riskModelOf(context: PlanContext): RiskModel {
  const { headline, setup, piece, time, exit, thickness, crackCase } = context;
  const { material } = headline;
  const sheetThicknessMm = sheetThickness(piece);
  const stress = stressSpread(material, setup.hold);
  return {
    sd: {
      force: stress.force,
      speed: stress.speed,
      sharpness: SHARPNESS_SD,
      rate: rateSd(material),
      pauses: PAUSES_SD,
      toughness: TOUGHNESS_SD,
      shelling: shellingSd(headline.bit.diameterMm),
      thickness: thickness.relativeSd,
      mix: mixSpread(context),
      heat: stress.heatShare,
      constraint: stress.constraint,
      strength: stress.strength,
      weibull: stress.weibull,
      handling: handlingSd(sheetThicknessMm),
    },
    fixedS: time.pausesS,
    cuts: cutsOf(context),
    sharpness: headline.sharpness,
    identities: identitiesOf(context),
    sites: stressSites(crackCase),
    heatGain: crackCase.heatGain,
    builtInMpa: builtInStress(material),
    strength: {
      fractileMpa: bearableStress(material, !headline.dry, piece.damage),
      weibullModulus: material.weibullModulus,
    },
    handling: handlingCase(crackCase),
    treatmentOdds: crackCase.treatmentOdds,
    chip: exit && { widthMm: exit.chipWidthMm, sheetThicknessMm },
  };
}

function cutsOf(context: PlanContext): RiskCut[] {
  const { stages, headline, time } = context;
  const own = stages.map((stage): RiskCut => {
    const cut = cutAt(context, stage);
    return {
      seconds: (stage.timeS ?? Infinity) * (1 + time.restShare),
      pressureMpa: stage.forceN / cut.contact.contactAreaMm2,
      idleMpa: cut.window.pressureMpa.glaze / 2,
    };
  });
  // Smaller bits before the finishing one, at its own pressure over the glaze.
  const pilotS =
    time.cuttingS * (1 + time.restShare) - own.reduce((sum, cut) => sum + cut.seconds, 0);
  return pilotS > 1e-6
    ? [
        ...own,
        {
          seconds: pilotS,
          pressureMpa: headline.force.contactPressureMpa,
          idleMpa: headline.window.pressureMpa.glaze / 2,
        },
      ]
    : own;
}

/** The cut of the leaf a stage lies in; from the far face the leaves come the other way round. */
function cutAt({ layers, headline, depthMm }: PlanContext, stage: PlannedStage) {
  const middle = (stage.fromMm + stage.toMm) / 2;
  const depth = stage.side === 1 ? middle : depthMm - middle;
  const here = layers.find(({ layer }) => depth >= layer.fromMm && depth <= layer.toMm);
  return here?.slowest ?? headline;
}

/** Spread of the mixes, weighted by the time their leaves take. */
function mixSpread({ layers }: PlanContext): number {
  let totalS = 0;
  let weighted = 0;
  for (const { layer, parts, rateMmPerS } of layers) {
    const seconds = (layer.toMm - layer.fromMm) / rateMmPerS;
    if (!Number.isFinite(seconds)) continue;
    totalS += seconds;
    weighted += seconds * mixSd(parts);
  }
  return totalS > 0 ? weighted / totalS : 0;
}

function identitiesOf({ possible, headline, exit }: PlanContext): RiskIdentity[] {
  if (possible.length === 0) return [{ share: 1, rateFactor: 1, chipFactor: 1, strengthFactor: 1, heatFactor: 1 }];
  return possible.map(({ material, share }) => ({
    share,
    ...weakness(headline, material),
    rateFactor: cutIfOther(headline, material).rateMmPerS / headline.rateMmPerS,
    chipFactor:
      exit && exit.chipWidthMm > 0
        ? exitChipWidth(material, exit.exitForceN, exit.conditions) / exit.chipWidthMm
        : 1,
  }));
}

import { exitChipWidth } from '../../physics/exit/exitChip';
import { bearableStress, builtInStress } from '../../physics/strength/crackOdds';
import { handlingSd } from '../../physics/strength/handlingHazard';
import type { RiskIdentity, RiskModel } from '../../physics/strength/riskModel';
import { hazardTimes } from '../../plan/fromLog';
import { handlingCase, sheetThickness, stressSites, weakness } from '../../plan/planCrack';
import { bitKey } from '../../plan/planCut';
import type { PlanContext } from '../../plan/planContext';
import { mixSpread } from '../../plan/planTime';
import { cutIfOther } from '../../setup/possibilities';
import {
  PAUSES_SD,
  rateSd,
  SHARPNESS_SD,
  shellingSd,
  spanSd,
  stressSpread,
  TOUGHNESS_SD,
} from '../../physics/spread';

/** The hole as the Monte Carlo sees it: the plan's own middles and spreads. */
export function riskModelOf(context: PlanContext): RiskModel {
  const { headline, setup, piece, time, exit, thickness, crackCase, crackCases } = context;
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
      mix: mixSpread(context.layers),
      heat: stress.heatShare,
      constraint: stress.constraint,
      strength: stress.strength,
      weibull: stress.weibull,
      handling: handlingSd(sheetThicknessMm),
    },
    fixedS: time.pausesS,
    cuts: time.cuts,
    sharpness: headline.sharpness,
    identities: identitiesOf(context),
    strains: crackCases.map((one) => ({ sites: stressSites(one), heatGain: one.heatGain })),
    builtInMpa: builtInStress(material),
    strength: {
      fractileMpa: bearableStress(material, !headline.dry, piece.damage),
      weibullModulus: material.weibullModulus,
    },
    handling: handlingCase(crackCase),
    treatmentOdds: crackCase.treatmentOdds,
    logged: {
      timeSpread: timeSpreadOf(context),
      hazardTimes: hazardTimes(context),
    },
    chip: exit && { widthMm: exit.chipWidthMm, sheetThicknessMm },
  };
}

/** How much of the calculated spread of the cutting the log leaves. */
function timeSpreadOf({ operations, setup }: PlanContext): number {
  const main = operations.find(({ cut }) => cut && bitKey(cut.setup) === bitKey(setup))?.cut;
  const logged = setup.logged?.time;
  return logged && main?.asNew.work ? logged.sd / spanSd(main.asNew.work) : 1;
}

function identitiesOf({ possible, headline, exit }: PlanContext): RiskIdentity[] {
  if (possible.length === 0)
    return [{ share: 1, rateFactor: 1, chipFactor: 1, strengthFactor: 1, heatFactor: 1 }];
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

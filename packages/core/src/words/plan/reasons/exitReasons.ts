import { easesOff } from '../../../physics/cutting/stages';
import { provenance } from '../../../data/materials/provenance';
import { formatSignificant } from '../../units/roundNumber';
import { formatForce } from '../../units/formatQuantity';
import { formatLength, formatLengthAbout, formatLengthShort } from '../../units/length';
import type { UnitSystem } from '../../../data/unitSystem';
import type { ExitPlan } from '../../../plan/planStages';
import { shellingSd } from '../../../physics/spread';
import { FORCE_SD } from '../../../data/steadiness';
import { percent, type Explain } from './explain';
import { input } from '../../../documents/reason';

function exitForceText(
  exit: ExitPlan,
  mainN: number,
  sides: 'one' | 'two',
  from: string,
  units: UnitSystem,
): string {
  const allowed = formatLengthShort(exit.allowedChipMm, units);
  if (sides === 'two') return 'No face opens from behind: the cuts meet in the middle.';
  if (exit.chipWidthMm > exit.allowedChipMm * 1.001) {
    return `From ${from}, the least that still cuts; chips of about ${formatLengthAbout(exit.chipWidthMm, units)} all the same.`;
  }
  return easesOff(exit.exitForceN, mainN)
    ? `From ${from}, so that nine chips in ten stay under ${allowed}.`
    : `Same force to the end: chips stay under ${allowed} as it is.`;
}

export const exitChip: Explain = ({ exit, chip, setup, headline, units }) =>
  exit && chip
    ? {
        text:
          setup.sides === 'two'
            ? 'None at the faces: the cuts meet in the middle, with a small step.'
            : `Beyond the hole’s edge at the far face; one in ten is over ${formatLengthAbout(chip.p90, units)}.`,
        inputs: [
          input('Force at the end', formatForce(exit.exitForceN, units)),
          input(
            'Behind it',
            `${setup.support.name} (κ_b ${formatSignificant(exit.conditions.exitFactor, 2)})`,
          ),
          input('Hold', setup.hold),
          input(
            'Fracture toughness K',
            `${formatSignificant(headline.material.toughnessMpaSqrtM, 2)} MPa√m`,
          ),
        ],
        source:
          'Edge-chipping law P = 9.3·K·h^1.5 on the force as a ring of D spreads it, (25/D)^½; width about 5h, × (1 + (3/t)²) for sheets.',
        spread: `K ± ${percent(provenance(headline.material, 'toughnessMpaSqrtM').relativeSd)}, force ± ${percent(FORCE_SD[setup.hold])}, and ${percent(shellingSd(headline.bit.diameterMm))} from hole to hole.`,
      }
    : null;

export const exitForce: Explain = ({ exit, headline, setup, units, stages }) => {
  const from = stages.find((stage) => stage.kind === 'exit')?.fromMm;
  if (!exit || from === undefined) return null;
  return {
    text: exitForceText(
      exit,
      headline.force.feedForceN,
      setup.sides,
      formatLengthShort(from, units),
      units,
    ),
    inputs: [
      input('Allowed chip W', formatLength(exit.allowedChipMm, units)),
      input('Would need', formatForce(exit.idealN, units)),
      input('Nearly through from', formatLength(from, units)),
      input('Last web lets go at δ', formatLength(exit.ligamentMm, units)),
    ],
    source:
      'F_exit = 9.3·K·(W/5)^1.5/(κ·κ_b·(2 − s)·(25/D)^½) at the W that nine chips in ten stay under, held between the least force that cuts well and F.',
  };
};

import type { Boiling } from '../../../physics/heat/boiling';
import { provenance } from '../../../data/materials/provenance';
import { formatSignificant } from '../../units/roundNumber';
import { formatPressure, formatTempRise } from '../../units/formatQuantity';
import { percent, type Explain } from './explain';
import { input } from '../../../documents/reason';

const BOILING: Readonly<Record<Boiling, string>> = {
  none: '',
  nucleate: ' Boiling at the rim holds it there.',
  film: ' Boiling has failed: a film of steam keeps the water off (burn-out).',
};

export const tempRise: Explain = ({
  tempRiseK,
  conductionWPerM2K,
  boiling,
  setup,
  headline,
  units,
}) => ({
  text: `The ring runs about ${formatTempRise(tempRiseK, units)} above the ${headline.dry ? 'air' : 'water'}.${BOILING[boiling]}`,
  inputs: [
    input('Heat partition β', formatSignificant(headline.material.heatShare, 2)),
    input('Water carries off', `${formatSignificant(setup.coolant.rimWPerM2K, 2)} W/m²K`),
    input('Piece carries off h_c', `${formatSignificant(conductionWPerM2K, 2)} W/m²K`),
  ],
  source:
    'ΔT = β·μ·φ·p·v_m/(h_water + h_c), h_c of a ring (line source, Carslaw and Jaeger) or disc; over 80 K boiling (Rohsenow).',
  spread: `β ± ${percent(provenance(headline.material, 'heatShare').relativeSd)}.`,
});

export const thermal: Explain = ({ headline, units }) => ({
  text: `Tension of the hot ring held by the cold piece; a drilled edge stands ${formatPressure(headline.material.edgeStrengthMpa, units)}.`,
  inputs: [
    input('Constraint C_T', formatSignificant(headline.material.heatConstraint, 2)),
    input(
      'Young’s modulus E',
      `${formatSignificant(headline.material.youngModulusMpa / 1000, 2)} GPa`,
    ),
    input(
      'Thermal expansion α',
      `${formatSignificant(headline.material.expansionPerK * 1e6, 2)} ·10⁻⁶/K`,
    ),
  ],
  source:
    'σ_T = min(C_T/(1 − ν), ½)·E·α·ΔT: a constrained ring, and no more than a hot spot in a plate.',
  spread: `C_T ± ${percent(provenance(headline.material, 'heatConstraint').relativeSd)}. ${provenance(headline.material, 'heatConstraint').source}.`,
});

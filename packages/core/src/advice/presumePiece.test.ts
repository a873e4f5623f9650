import { outlineCentre } from '../layout/outline';
import { caseIn } from '../setup/jobFixtures';
import { MATERIAL_IDS, MATERIALS } from '../data/materials/materials';
import { makePlan } from '../words/plan/makePlan';
import { INCH_POUND, METRIC } from '../data/unitSystem';
import type { JobFile } from '../documents/jobFile';
import { presumePiece, usualForm, usualSizes } from './presumePiece';

it.each(MATERIAL_IDS)('%s can be planned from material, thickness and diameter alone', (id) => {
  const material = MATERIALS[id];
  for (const units of [METRIC, INCH_POUND]) {
    const sizes = usualSizes(usualForm(material), units);
    for (const diameterMm of sizes.diameterMm) {
      const piece = presumePiece({ material, thicknessMm: sizes.thicknessMm[0] ?? 6, diameterMm });
      const file: JobFile = {
        format: 'nucleon-job',
        version: 1,
        job: { id: 'j', name: 'J' },
        pieces: [
          {
            ...piece,
            id: 'p',
            holes: [
              { id: 'h', ...outlineCentre(piece.outline), diameterMm, depth: { kind: 'through' } },
            ],
          },
        ],
      };
      const outcome = makePlan(caseIn(file, 'h'), units);
      expect(outcome.kind === 'planned' && outcome.plan.drillTimeS !== null).toBe(true);
    }
  }
});

it('leaves the treatment of glass unknown unless told', () => {
  const known = { material: MATERIALS['float-glass'], thicknessMm: 6, diameterMm: 10 };
  expect(presumePiece(known).glassTreatment).toBe('unknown');
  expect(presumePiece({ ...known, glassTreatment: 'annealed' }).glassTreatment).toBe('annealed');
  expect(presumePiece({ ...known, material: MATERIALS.slate }).glassTreatment).toBeUndefined();
});

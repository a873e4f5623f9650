import {
  GLASS_TREATMENTS,
  PIECE_FORMS,
  type GlassTreatment,
  type HazardCheck,
  type PieceForm,
} from '../job/job';
import { MATERIALS, type MaterialId } from '../materials/materials';
import { jobWith } from '../plan/jobFixtures';
import { judgeHazards } from './judgeHazards';

function judged(
  treatment: GlassTreatment,
  form: PieceForm = 'sheet',
  material: MaterialId = 'float-glass',
  checks: HazardCheck[] = [],
) {
  const file = jobWith({ piece: { glassTreatment: treatment, form, material, checks } });
  const piece = file.pieces[0];
  const hole = piece?.holes[0];
  if (!piece || !hole) throw new Error('fixture');
  return judgeHazards({ job: file.job, piece, hole, material: MATERIALS[material] });
}

const codes = (...args: Parameters<typeof judged>): string[] =>
  judged(...args).open.map((gate) => gate.code);

it('knows every treatment on flat glass', () => {
  const found = Object.fromEntries(
    GLASS_TREATMENTS.map((treatment) => [treatment, codes(treatment)]),
  );
  expect(found).toEqual({
    annealed: [],
    tempered: ['strengthened-glass'],
    'heat-strengthened': ['strengthened-glass'],
    'chemically-strengthened': ['strengthened-glass'],
    laminated: ['laminated-glass'],
    wired: ['wired-or-sealed-glass'],
    'sealed-unit': ['wired-or-sealed-glass'],
    'toughened-tableware': ['strengthened-glass'],
    'glass-ceramic': ['strengthened-glass'],
    unknown: ['unknown-treatment'],
  });
});

it('sends hollow and hand-made glass its own way', () => {
  for (const form of PIECE_FORMS.filter((one) => one !== 'sheet' && one !== 'slab')) {
    expect(codes('unknown', form)).toEqual(['hollow-glass']);
  }
});

it('asks nothing of stone or ceramic', () => {
  expect(codes('tempered', 'sheet', 'slate')).toEqual([]);
  expect(codes('unknown', 'vessel', 'stoneware')).toEqual([]);
});

it('settles only by an answer the gate takes, and never a stop without override', () => {
  const at = '2026-05-02T09:00:00Z';
  const check = (hazard: string, answer: string): HazardCheck[] => [{ hazard, answer, at }];
  const clear = judged(
    'unknown',
    'sheet',
    'float-glass',
    check('unknown-treatment', 'polariser-clear'),
  );
  expect(clear.open).toEqual([]);
  expect(clear.settled[0]?.settledBy?.at).toBe(at);
  expect(
    codes('unknown', 'sheet', 'float-glass', check('unknown-treatment', 'looks fine')),
  ).toEqual(['unknown-treatment']);
  expect(
    codes('tempered', 'sheet', 'float-glass', check('strengthened-glass', 'polariser-clear')),
  ).toEqual(['strengthened-glass']);
});

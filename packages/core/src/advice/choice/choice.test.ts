import { MATERIALS } from '../../data/materials/materials';
import { caseWith, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from '../../words/plan/makePlan';
import { METRIC } from '../../data/unitSystem';
import { bitsForPurposeInWords } from '../../words/advice/bitsForPurposeInWords';
import { bitsForPurpose, verdictOf } from './bitsForPurpose';
import { insteadOfDrilling } from '../../words/advice/insteadOfDrilling';

function scene(parts: JobParts) {
  const drillCase = caseWith(parts);
  const outcome = makePlan(drillCase);
  if (outcome.kind !== 'planned') throw new Error('fixture');
  return { ...drillCase, drillCase, plan: outcome.plan };
}

const fitting = (flangeDiameterMm: number, hold: 'press' | 'freehand') =>
  scene({
    hole: { purpose: { kind: 'tank-fitting', threadDiameterMm: 23.5, flangeDiameterMm } },
    bits: [
      { id: 'right', name: 'Cup saw 25', family: 'plated-cup-saw', diameterMm: 25 },
      { id: 'small', name: 'Cup saw 24', family: 'plated-cup-saw', diameterMm: 24 },
      { id: 'tube', name: 'Tile core 25.3', family: 'brazed-tile-core', diameterMm: 25.3 },
    ],
    setup: { hold, support: { kind: hold === 'press' ? 'sacrificial-hard' : 'nothing' } },
  });

describe('bits for a purpose', () => {
  it('takes those whose chips the gasket hides, and says by how much others miss', () => {
    const { drillCase, plan } = fitting(60, 'press');
    if (!plan.fit) throw new Error('no fit');
    const found = bitsForPurposeInWords(bitsForPurpose(drillCase, plan.fit), plan.fit, METRIC);
    expect(found.fitting.map((one) => [one.bit.id, one.verdict])).toEqual([
      ['right', 'covered'],
      ['tube', 'covered'],
    ]);
    expect(found.misses[0]?.text).toBe('0.5 mm too small.');
  });
  it('rejects a bit whose chips the gasket cannot hide', () => {
    const { drillCase, plan } = fitting(33, 'freehand');
    if (!plan.fit) throw new Error('no fit');
    const found = bitsForPurposeInWords(bitsForPurpose(drillCase, plan.fit), plan.fit, METRIC);
    expect(found.fitting.every((one) => one.verdict === 'not-covered')).toBe(true);
    expect(found.fitting[0]?.text).toMatch(/^Rejected: chips of about .* the part hides 0\.25 mm/);
  });
  it('judges by middle and ninetieth', () => {
    expect(verdictOf({ p50: 0.5, p90: 0.8 }, 1)).toBe('covered');
    expect(verdictOf({ p50: 0.9, p90: 1.3 }, 1)).toBe('tight');
    expect(verdictOf({ p50: 1.2, p90: 1.9 }, 1)).toBe('not-covered');
    expect(verdictOf({ p50: 1.2, p90: 1.9 }, null)).toBe('nothing-covers');
    expect(verdictOf(null, 1)).toBe('no-exit');
  });
});

describe('instead of drilling', () => {
  const instead = (parts: JobParts, material: keyof typeof MATERIALS = 'float-glass') => {
    const { piece, hole, plan } = scene({
      ...parts,
      setup: { hold: 'press', support: { kind: 'sacrificial-hard' }, ...parts.setup },
    });
    return insteadOfDrilling(plan, { piece, hole, material: MATERIALS[material] });
  };
  const ways = (parts: JobParts): string[] => instead(parts).alternatives.map((one) => one.way);
  it('must when a stop stands, and offers no practice on what would burst', () => {
    const tempered = instead({ piece: { glassTreatment: 'tempered' } });
    expect(tempered.verdict).toBe('must');
    expect(tempered.why[0]).toMatch(/^Strengthened glass:/);
    expect(tempered.alternatives.map((one) => one.way)).not.toContain('practise');
    expect(tempered.alternatives[0]?.title).toBe('Order it made with the hole');
  });
  it('considers it when the odds are poor, and is quiet when they are good', () => {
    const thin = instead({
      piece: { thicknessMm: 2 },
      setup: { hold: 'freehand' },
      machine: { id: 'free', name: 'Tool', kind: 'rotary-tool' },
    });
    expect(thin.verdict).toBe('consider');
    expect(instead({}).verdict).toBe('fine');
    expect(instead({}).why).toEqual([]);
  });
  it('has ways for every purpose, and practice first while it may be drilled', () => {
    expect(ways({ hole: { purpose: { kind: 'hanging-ring' } } })).toEqual(
      expect.arrayContaining(['practise', 'glue', 'clamp', 'order-drilled', 'other-piece']),
    );
    expect(ways({})[0]).toBe('practise');
    expect(ways({ piece: { practice: true } })).not.toContain('practise');
  });
});

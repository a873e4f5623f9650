import type { Hole } from '../documents/hole';
import { METRIC } from '../data/unitSystem';
import type { Operation } from '../documents/operation';
import type { Plan } from '../documents/plan';
import {
  aroundS,
  CHISEL_S,
  coreBreakS,
  EASE_EDGE_S,
  lastCoreS,
  TURN_S,
} from '../physics/cutting/pauses';
import { caseIn, jobWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { operationLine, operationTotals } from '../words/plan/operationLine';
import { packingListOf } from '../words/run/packingList';

const BLOCK: JobParts = {
  piece: {
    form: 'wall',
    material: 'concrete',
    thicknessMm: 60,
    outline: { kind: 'rectangle', widthMm: 900, heightMm: 900 },
  },
  hole: { diameterMm: 8, depth: { kind: 'blind', depthMm: 50 } },
  setup: { bit: 'mas', water: { kind: 'none' } },
  bits: [
    { id: 'mas', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8, usableDepthMm: 120 },
    { id: 'core', name: 'Core 40', family: 'segmented-core', diameterMm: 40, usableDepthMm: 150 },
  ],
  machine: { id: 'free', name: 'Hammer drill', kind: 'rotary-hammer' },
};
const caseWith = (parts: JobParts, operations: readonly Operation[]) =>
  caseIn(jobWith({ ...parts, hole: { ...parts.hole, operations } }));
const planOf = (parts: JobParts, operations: readonly Operation[]): Plan => {
  const outcome = makePlan(caseWith(parts, operations));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
};
const p50 = (plan: Plan, id: string): number =>
  plan.operations?.find((one) => one.id === id)?.timeS?.p50 ?? NaN;
const BORE: Operation = { id: 'bore', does: 'bore', bitId: 'mas' };

it('takes its own seconds: between cuts it halts the drilling, around them it does not', () => {
  const bare = planOf(BLOCK, [BORE]);
  const parts: readonly (readonly [Operation['does'], number])[] = [
    ['chisel', CHISEL_S],
    ['turn-over', TURN_S['turn-over']],
    ['go-round', TURN_S['go-round']],
  ];
  for (const [does, seconds] of parts) {
    const plan = planOf(BLOCK, [{ id: 'hand', does }, BORE]);
    expect(p50(plan, 'hand')).toBeCloseTo(seconds, 9);
    expect((plan.drillTimeS?.p50 ?? NaN) - (bare.drillTimeS?.p50 ?? NaN)).toBeCloseTo(seconds, 6);
  }
  const eased = planOf(BLOCK, [BORE, { id: 'edge', does: 'ease-edge' }]);
  expect(p50(eased, 'edge')).toBeCloseTo(EASE_EDGE_S, 9);
  expect(eased.drillTimeS).toEqual(bare.drillTimeS);
  expect((eased.altogetherS?.p50 ?? NaN) - (bare.altogetherS?.p50 ?? NaN)).toBeCloseTo(
    EASE_EDGE_S,
    6,
  );
});

it('wedges the last core of a blind hole off after the drilling', () => {
  const cored = { ...BLOCK, hole: { ...BLOCK.hole, diameterMm: 40 } };
  const plan = planOf(cored, [
    { id: 'core', does: 'core', bitId: 'core' },
    { id: 'out', does: 'break-out' },
  ]);
  expect(p50(plan, 'out')).toBeCloseTo(lastCoreS(false, true, 40), 9);
  expect(plan.drillTimeS?.p50).toBeCloseTo(p50(plan, 'core'), 6);
});

it('breaks each core out at its own diameter, between cuts and after them', () => {
  const wide = { id: 'wide', name: 'Core 60', family: 'segmented-core', diameterMm: 60 } as const;
  const cored: JobParts = {
    ...BLOCK,
    hole: { ...BLOCK.hole, diameterMm: 60 },
    bits: [...(BLOCK.bits ?? []), { ...wide, usableDepthMm: 150 }],
  };
  const plan = planOf(cored, [
    { id: 'core', does: 'core', bitId: 'core' },
    { id: 'out', does: 'break-out' },
    { id: 'wide', does: 'core', bitId: 'wide' },
    { id: 'last', does: 'break-out' },
  ]);
  expect(p50(plan, 'out')).toBeCloseTo(coreBreakS({ why: 'barrel-full', lengthMm: 50 }, 40), 9);
  expect(p50(plan, 'last')).toBeCloseTo(lastCoreS(false, true, 60), 9);
});

it('chisels at the last before it is taken down, and looks for a core where a solid bit left none', () => {
  const bare = planOf(BLOCK, [BORE]);
  const chiselled = planOf(BLOCK, [BORE, { id: 'chisel', does: 'chisel' }]);
  expect(p50(chiselled, 'chisel')).toBeCloseTo(CHISEL_S, 9);
  expect(chiselled.drillTimeS).toEqual(bare.drillTimeS);
  const sought = planOf(BLOCK, [BORE, { id: 'out', does: 'break-out' }]);
  expect(p50(sought, 'out')).toBeCloseTo(lastCoreS(true, true, 8), 9);
});

it('sets up at the mark, and takes down and pushes the last core out once all is clean', () => {
  const list: Operation[] = [
    { id: 'mark', does: 'mark' },
    { id: 'core', does: 'core', bitId: 'core' },
    { id: 'clean', does: 'clean' },
  ];
  const at = (depth: Hole['depth']) =>
    planOf({ ...BLOCK, hole: { ...BLOCK.hole, diameterMm: 40, depth } }, list);
  const [blind, through] = [at({ kind: 'blind', depthMm: 50 }), at({ kind: 'through' })];
  const { setUp, takeDown } = aroundS('guided', undefined, 'none');
  expect(p50(blind, 'mark')).toBeCloseTo(setUp, 9);
  expect(p50(blind, 'clean')).toBeCloseTo(takeDown, 9);
  expect(p50(through, 'clean')).toBeCloseTo(takeDown + lastCoreS(false, false, 40), 9);
});

it('goes faster with the hammer on, which is named where the bit is changed', () => {
  const [off, on] = [BORE, { ...BORE, hammer: true }].map((one) => planOf(BLOCK, [one]));
  expect(p50(on as Plan, 'bore')).toBeLessThan(p50(off as Plan, 'bore') / 2);
  expect(on?.operations?.[0]).toMatchObject({ hammer: true });
  const pilot: Operation = { ...BORE, id: 'pilot', does: 'pilot', toMm: 50 };
  const cored = { ...BLOCK, hole: { ...BLOCK.hole, diameterMm: 40 } };
  const plan = planOf(cored, [
    { ...pilot, hammer: true },
    { id: 'core', does: 'core', bitId: 'core', machineId: 'free' },
  ]);
  const change = plan.steps.find(({ kind }) => kind === 'step-change');
  expect(change).toMatchObject({ title: 'Change to Core 40' });
  expect(change?.detail).toContain('Hammer off.');
});

it('says who helps, in the steps and beside the operation', () => {
  const plan = planOf(BLOCK, [{ ...BORE, helper: 'vacuum' }]);
  const [first] = plan.operations?.[0]?.steps ?? [];
  expect(first).toMatchObject({ title: 'Second person: holds the vacuum' });
  expect(plan.operations?.[0]).toMatchObject({ helper: 'vacuum' });
});

it('packs every tool of the list, each once', () => {
  const cored = { ...BLOCK, hole: { ...BLOCK.hole, diameterMm: 40 } };
  const texts = packingListOf(
    [
      caseWith(cored, [
        { ...BORE, toMm: 50 },
        { id: 'core', does: 'core', bitId: 'core', machineId: 'free', toMm: 30 },
        { id: 'out', does: 'break-out' },
        { id: 'core-2', does: 'core', bitId: 'core', machineId: 'free', toMm: 50 },
      ]),
    ],
    METRIC,
  ).map(({ text }) => text);
  expect(texts.filter((text) => /Masonry 8|Core 40|Hammer drill/.test(text))).toEqual([
    'Masonry 8, 8 mm',
    'Hammer drill',
    'Core 40, 40 mm',
  ]);
  expect(texts).toContain('Chisel and hook to break the core out');
});

it('reads as one line each, with what is known so far', () => {
  const plan = planOf(BLOCK, [BORE]);
  const [planned] = plan.operations ?? [];
  const line = operationLine(BORE, planned, METRIC);
  expect(line.title).toBe('Bore 0 to 50 mm');
  expect(line.detail).toMatch(/^Masonry 8 · Hammer drill · dry · 900 rpm · \d+ N$/);
  expect(line.time).toMatch(/^about /);
  expect(operationLine({ id: 'x', does: 'core', face: 'far' }, undefined, METRIC)).toEqual({
    title: 'Core, far face',
    detail: '',
    time: '',
  });
  expect(operationTotals(plan).map(({ label }) => label)).toEqual([
    'Drilling',
    'Altogether',
    'Cracks',
    'Bits',
  ]);
});

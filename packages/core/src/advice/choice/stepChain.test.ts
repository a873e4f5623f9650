import { chainText } from '../../words/advice/chainInWords';
import type { Bit } from '../../documents/kit';
import { caseIn, jobWith } from '../../setup/jobFixtures';
import { contextOf } from '../../plan/contextOf';
import { METRIC } from '../../data/unitSystem';
import {
  chainOfSteps,
  chainScene,
  pilotRule,
  stepAfter,
  stepChain,
  type ChainScene,
} from './stepChain';

const rod = (diameterMm: number): Bit => ({
  id: `rod${diameterMm}`,
  name: `Rod ${diameterMm}`,
  family: diameterMm <= 3 ? 'plated-point' : 'sintered-rod',
  diameterMm,
});

/** An agate block, drilled with solid bits on a press. */
const jobOf = (bits: readonly Bit[], finalMm: number, thicknessMm = 12) =>
  jobWith({
    bits,
    piece: {
      form: 'block',
      material: 'quartzite-agate',
      thicknessMm,
      valueMoney: 1,
      outline: { kind: 'rectangle', widthMm: 60, heightMm: 60 },
    },
    hole: { xMm: 30, yMm: 30, diameterMm: finalMm },
    setup: { bit: bits.at(-1)?.id ?? '', hold: 'press' },
  });

const sceneOf = (bits: readonly Bit[], finalMm: number): ChainScene => {
  const drillCase = caseIn(jobOf(bits, finalMm));
  const worked = contextOf(drillCase);
  if (worked.kind === 'faulty') throw new Error('faulty fixture');
  return chainScene(drillCase, worked.context);
};

/** Every subset of the smaller bits before each final one. */
function bruteForce(scene: ChainScene): number {
  const finals = scene.bits.filter(({ bit }) => Math.abs(bit.diameterMm - scene.finalMm) <= 0.5);
  let min = Infinity;
  for (const final of finals) {
    const smaller = scene.bits.filter(({ bit }) => bit.diameterMm < final.bit.diameterMm);
    for (let mask = 0; mask < 2 ** smaller.length; mask++) {
      const chain = [...smaller.filter((_, i) => (mask >> i) & 1), final];
      if (chain.some((bit, i) => (chain[i - 1]?.bit.diameterMm ?? 0) >= bit.bit.diameterMm))
        continue;
      const steps = chain.map((bit, i) => stepAfter(scene, bit, chain[i - 1]?.bit.diameterMm ?? 0));
      min = Math.min(min, chainOfSteps(scene, steps).costS);
    }
  }
  return min;
}

it.each([
  [[1, 1.5, 2, 3, 4, 5, 6], 6],
  [[2, 4, 8], 8],
  [[1, 3, 8], 8],
  [[5], 5],
  [[2, 2.8, 3, 3.2], 3],
])('finds what trying all of %j finds', (sizes, finalMm) => {
  const bits = sizes.map(rod);
  const scene = sceneOf(bits, finalMm);
  const found = stepChain(caseIn(jobOf(bits, finalMm)));
  if (found.kind !== 'chosen') throw new Error(found.kind);
  expect(found.choice.best.costS).toBeCloseTo(bruteForce(scene), 6);
  expect(found.choice.best.costS).toBeLessThanOrEqual(found.choice.straight.costS);
});

it('steps a wide solid bit, whose centre has no speed, and not a core', () => {
  const solid = stepChain(caseIn(jobOf([rod(2), rod(8)], 8, 2)));
  expect(solid.kind === 'chosen' && solid.choice.best.steps.length).toBe(2);
  expect(solid.kind === 'chosen' && chainText(solid.choice, METRIC)).toContain(
    'less than straight',
  );
  const core: Bit = { id: 'core', name: 'Core 8', family: 'sintered-core', diameterMm: 8 };
  const cored = stepChain(caseIn(jobOf([rod(2), core], 8, 2)));
  expect(cored.kind === 'chosen' && cored.choice.best.steps.map((step) => step.bit.id)).toEqual([
    'core',
  ]);
});

it('says so where nothing owned makes the size', () => {
  const file = jobOf([rod(2), rod(6)], 6);
  const without = {
    ...file,
    kit: { ...file.kit, bits: [rod(2), { ...rod(6), state: 'bald' as const }] },
  };
  expect(stepChain(caseIn(without)).kind).toBe('no-bit');
});

it('keeps carbide from under a core in glass, and a core from a hole that ate its ring', () => {
  const resolved = (bit: Bit) => sceneOf([bit], bit.diameterMm).bits[0];
  const core = resolved({ id: 'c', name: 'Core', family: 'sintered-core', diameterMm: 8 });
  const small = resolved(rod(2));
  const wide = resolved({ id: 'w', name: 'W', family: 'sintered-rod', diameterMm: 7.5 });
  if (!core || !small || !wide) throw new Error('fixture');
  const spear = { ...small, bit: { ...small.bit, family: 'carbide-spear' as const } };
  const glass = { class: 'glass' } as Parameters<typeof pilotRule>[2][number];
  expect(pilotRule(spear, core, [glass], 'press')).toBe('carbide-under-core');
  expect(pilotRule(small, core, [glass], 'press')).toBeNull();
  expect(pilotRule(wide, core, [glass], 'freehand')).toBe('ring-eaten');
  expect(pilotRule(wide, core, [glass], 'press')).toBeNull();
});

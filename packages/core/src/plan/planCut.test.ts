import type { Hole } from '../documents/hole';
import { exitChipWidth } from '../physics/exit/exitChip';
import { START_S } from '../physics/cutting/pauses';
import { thermalStress } from '../physics/heat/thermalStress';
import { caseIn, caseWith, jobWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { cutsOf } from './planContext';
import type { CutPlan } from './planCut';
import { heatOf, planWear } from './planRim';
import { contextIn } from './planFixtures';

const cutsIn = (parts: JobParts): readonly CutPlan[] => cutsOf(contextIn(caseWith(parts)));
function nth(cuts: readonly CutPlan[], index: number): CutPlan {
  const cut = cuts[index];
  if (!cut) throw new Error(`no cut ${index}`);
  return cut;
}
const CORE = { id: 'core', name: 'Core 52', family: 'segmented-core', diameterMm: 52 } as const;
/** Four passes of 45 mm and the rest. */
const PASSES: JobParts = {
  piece: wallOf(['concrete', 150]),
  hole: { diameterMm: 52 },
  setup: { bit: 'core', water: { kind: 'bottle' } },
  bits: [{ ...CORE, usableDepthMm: 50 }],
};

it('heats over its own length, and wears by all its bit has cut in the hole', () => {
  const cuts = cutsIn(PASSES);
  expect(cuts.map(({ operation: { fromMm, toMm } }) => [fromMm, toMm])).toEqual([
    [0, 45],
    [45, 90],
    [90, 135],
    [135, 150],
  ]);
  for (const [lengthMm, doneMm, index] of [
    [45, 90, 1],
    [15, 150, 3],
  ] as const) {
    const { headline, setup, heat, bitLife, thermalStressMpa } = nth(cuts, index);
    expect(heat).toEqual(heatOf(headline, setup, lengthMm));
    expect(thermalStressMpa).toBe(thermalStress(headline.material, heat.tempRiseK));
    expect(bitLife).toEqual(planWear(headline, setup, doneMm));
  }
  expect(nth(cuts, 3).bitLife.sharpnessAfter).toBeLessThan(nth(cuts, 0).bitLife.sharpnessAfter);
});

it('begins anew where nothing is open, not in its own hole nor where a smaller bit was', () => {
  const starts = (cuts: readonly CutPlan[]) =>
    cuts.map(({ seated, swapped, time }) => [seated, swapped, time.pauses.start]);
  expect(starts(cutsIn(PASSES)).slice(0, 2)).toEqual([
    [false, false, START_S[nth(cutsIn(PASSES), 0).setup.start]],
    [true, false, 0],
  ]);
  const stepped = cutsIn({
    piece: { thicknessMm: 12 },
    setup: { bits: ['cup12', 'cup25'] },
    bits: [12, 25].map((diameterMm) => ({
      id: `cup${diameterMm}`,
      name: `Cup ${diameterMm}`,
      family: 'plated-cup-saw' as const,
      diameterMm,
    })),
  });
  expect(starts(stepped)[1]).toEqual([false, true, 0]);
});

it('breaks out in the last leaf it cuts, however slow one before it is', () => {
  const [cut] = cutsIn({
    ...PASSES,
    piece: wallOf(['engineering-brick', 60], ['lightweight-block', 60]),
    bits: [{ ...CORE, usableDepthMm: 200 }],
  });
  const last = cut?.layers.at(-1)?.slowest;
  if (!cut?.exit || !last) throw new Error('It opens the far face.');
  expect(cut.headline.material.id).toBe('engineering-brick');
  const { exitForceN, conditions, chipWidthMm } = cut.exit;
  expect(last.material.id).toBe('lightweight-block');
  expect(chipWidthMm).toBe(exitChipWidth(last.material, exitForceN, conditions));
});

it('reaches for the thickest place of a piece whose face it opens, and no further', () => {
  const thread = { kind: 'thread-g-half' } as const;
  const extension = { id: 'ext', name: 'Extension', kind: 'extension', lengthMm: 80 } as const;
  const reachOf = (depth: Hole['depth']) => {
    const job = jobWith({
      ...PASSES,
      piece: { ...wallOf(['concrete', 100]), thicknessReadingsMm: [100, 108] },
      hole: { diameterMm: 52, depth },
      bits: [{ ...CORE, usableDepthMm: 106, shank: thread }],
    });
    const couplings = [{ ...extension, into: thread, takes: thread }];
    const cuts = cutsOf(contextIn(caseIn({ ...job, kit: { ...job.kit, couplings } })));
    const { sticksOutMm, reach } = nth(cuts, cuts.length - 1);
    return { sticksOutMm, extension: reach.extension?.id ?? null };
  };
  const through = reachOf({ kind: 'through' });
  expect(through.extension).toBe('ext');
  const blind = reachOf({ kind: 'blind', depthMm: 99 });
  expect(blind.extension).toBeNull();
  // An extension nobody named stands out with the bit.
  expect(through.sticksOutMm - blind.sticksOutMm).toBe(80);
});

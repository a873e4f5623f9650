import type { Operation } from '../documents/operation';
import { liftDepths } from '../physics/cutting/lifts';
import { depthStop } from '../physics/holding/depthStop';
import { meanSlowness } from '../physics/wear/sharpness';
import type { Hole } from '../documents/hole';
import { exitChipWidth } from '../physics/exit/exitChip';
import { START_S } from '../physics/cutting/pauses';
import { thermalStress } from '../physics/heat/thermalStress';
import { caseIn, jobWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { cutsOf } from './planContext';
import { heatOf, planWear } from './planRim';
import {
  BORED_CAVITY,
  CAVITY_WALL,
  contextIn,
  coreBit,
  cutAt,
  FOUR_PASSES,
  ROD_10,
  STEPPED_PANE,
  workedOut,
} from './planFixtures';

/** Four passes of 45 mm and the rest. */
const PASSES: JobParts = {
  piece: wallOf(['concrete', 150]),
  hole: { diameterMm: 52 },
  setup: { bit: 'core', water: { kind: 'bottle' } },
  bits: [coreBit(52, 50)],
};

it('heats over its own length, and wears by all its bit has cut in the hole', () => {
  const context = workedOut(PASSES);
  expect(cutsOf(context).map(({ operation: { fromMm, toMm } }) => [fromMm, toMm])).toEqual([
    [0, 45],
    [45, 90],
    [90, 135],
    [135, 150],
  ]);
  for (const [lengthMm, doneMm, index] of [
    [45, 90, 1],
    [15, 150, 3],
  ] as const) {
    const { headline, setup, heat, bitLife, thermalStressMpa } = cutAt(context, index);
    expect(heat).toEqual(heatOf(headline, setup, lengthMm));
    expect(thermalStressMpa).toBe(thermalStress(headline.material, heat.tempRiseK));
    expect(bitLife).toEqual(planWear(headline, setup, doneMm));
  }
  expect(cutAt(context, 3).bitLife.sharpnessAfter).toBeLessThan(
    cutAt(context, 0).bitLife.sharpnessAfter,
  );
});

it('begins anew where nothing is open, not in its own hole nor where a smaller bit was', () => {
  const starts = (parts: JobParts) =>
    cutsOf(workedOut(parts)).map(({ seated, swapped, time }) => [
      seated,
      swapped,
      time.pauses.start,
    ]);
  expect(starts(PASSES).slice(0, 2)).toEqual([
    [false, false, START_S[cutAt(workedOut(PASSES), 0).setup.start]],
    [true, false, 0],
  ]);
  expect(starts(STEPPED_PANE)[1]).toEqual([false, true, 0]);
});

it('breaks out in the last leaf it cuts, however slow one before it is', () => {
  const cut = cutAt(
    workedOut({
      ...PASSES,
      piece: wallOf(['engineering-brick', 60], ['lightweight-block', 60]),
      bits: [coreBit(52, 200)],
    }),
    0,
  );
  const last = cut.layers.at(-1)?.slowest;
  if (!cut.exit || !last) throw new Error('It opens the far face.');
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
      bits: [{ ...coreBit(52, 106), shank: thread }],
    });
    const couplings = [{ ...extension, into: thread, takes: thread }];
    const context = contextIn(caseIn({ ...job, kit: { ...job.kit, couplings } }));
    const { sticksOutMm, reach } = cutAt(context, cutsOf(context).length - 1);
    return { sticksOutMm, extension: reach.extension?.id ?? null };
  };
  const through = reachOf({ kind: 'through' });
  expect(through.extension).toBe('ext');
  const blind = reachOf({ kind: 'blind', depthMm: 99 });
  expect(blind.extension).toBeNull();
  // An extension nobody named stands out with the bit.
  expect(through.sticksOutMm - blind.sticksOutMm).toBe(80);
});

it('each pass goes on with what the bit has worn off already', () => {
  const shares = cutsOf(workedOut(FOUR_PASSES)).map(({ stages, headline }) => {
    const main = stages.find(({ kind }) => kind === 'main');
    if (!main) throw new Error('no main stage');
    const { fromMm, toMm, timeS } = main;
    const { sharpness, lifeDepthMm } = headline;
    return (
      (((timeS ?? NaN) / (toMm - fromMm)) * headline.rateMmPerS) /
      meanSlowness(sharpness, fromMm, toMm, lifeDepthMm)
    );
  });
  for (const share of shares) expect(share).toBeCloseTo(1, 9);
});

describe('lifts', () => {
  const FAST = 'lightweight-block';
  const wall = (...leaves: readonly (readonly [string, number])[]): JobParts => ({
    ...PASSES,
    piece: wallOf(...leaves),
    bits: [coreBit(52, 400)],
  });
  const rates = new Map(
    ['engineering-brick', FAST].map((id) => {
      const { layers } = cutAt(workedOut(wall([id, 60])), 0);
      return [id, layers[0]?.rateMmPerS ?? NaN];
    }),
  );

  it('are due by the rate of the leaf they are in, and go on from one leaf into the next', () => {
    const parts = wall(['engineering-brick', 60], [FAST, 60]);
    const { lifts, headline } = cutAt(workedOut(parts), 0);
    const { bit, contact } = headline;
    const rateAtMm = (z: number): number => rates.get(z < 60 ? 'engineering-brick' : FAST) ?? NaN;
    const due = liftDepths(bit, contact.kerfAreaMm2, 120, rateAtMm);
    expect(lifts).toEqual(due.map((z) => expect.closeTo(z, 6)));
    // Eight seconds of the quick one are further than the fines of the slow one allow.
    expect(8 * (rates.get(FAST) ?? NaN)).toBeGreaterThan(2);
  });

  it('are none across a cavity, with a clear groove behind it', () => {
    // In one go, as somebody asked.
    const cut = cutAt(workedOut(BORED_CAVITY), 0);
    const { bit, contact } = cut.headline;
    const rateIn = (index: number) => () => cut.layers[index]?.rateMmPerS ?? NaN;
    const due = (fromMm: number, toMm: number, index: number) =>
      liftDepths(bit, contact.kerfAreaMm2, toMm, rateIn(index), fromMm);
    expect(cut.lifts).toEqual([...due(0, 60, 0), ...due(100, 160, 2)]);
    expect(cut.lifts.some((z) => z > 100)).toBe(true);
  });
});

it('may chip what a wider bit takes away after it', () => {
  const stepped = workedOut({ ...STEPPED_PANE, hole: { cover: { coverMm: 2 } } as never });
  const [first, second] = [cutAt(stepped, 0), cutAt(stepped, 1)];
  const own = second.exit?.allowedChipMm ?? NaN;
  expect(own).toBeGreaterThan(0);
  expect(first.exit?.allowedChipMm).toBeCloseTo(own + (25 - 12) / 2, 9);
});

it('is stopped where the hole ends, past the far face where it opens that', () => {
  const stopOf = (depth: Hole['depth']) =>
    cutAt(workedOut({ hole: { depth }, piece: { thicknessMm: 12 } }), 0).stop.collarAtMm;
  expect(stopOf({ kind: 'blind', depthMm: 9 })).toBe(9);
  expect(stopOf({ kind: 'through' })).toBe(depthStop(12, 0, true).collarAtMm);
  expect(stopOf({ kind: 'through' })).toBeGreaterThan(12);
});

describe('ends', () => {
  const endsOf = (parts: JobParts, operations?: readonly Operation[]) =>
    cutsOf(workedOut(parts, operations)).map(({ ends, exit }) => [ends, exit !== null]);

  it('inside what is solid, at a cavity, or at the far face, and breaks out there alone', () => {
    expect(endsOf(FOUR_PASSES)).toEqual([
      ['inside', false],
      ['inside', false],
      ['inside', false],
      ['face', true],
    ]);
    expect(endsOf(CAVITY_WALL)).toEqual([
      ['cavity', false],
      ['face', true],
    ]);
  });

  it('where it meets what was cut as wide from the other face, not at a pilot', () => {
    const both: JobParts = { piece: { thicknessMm: 12 }, setup: { sides: 'two' } };
    expect(endsOf(both)).toEqual([
      ['inside', false],
      ['meets', true],
    ]);
    const [near, far] = cutsOf(workedOut(both));
    // What meets the other cut chips nothing.
    expect(far?.exit?.chipWidthMm).toBe(0);
    expect(near?.stages.every(({ side }) => side === 1)).toBe(true);
    expect(far?.stages.every(({ side }) => side === 2)).toBe(true);
    const piloted = endsOf(
      {
        ...PASSES,
        bits: [coreBit(52, 200), ROD_10],
      },
      [
        { id: 'p', does: 'pilot', bitId: 'rod', wet: false },
        { id: 'n', does: 'core', toMm: 75 },
        { id: 'turn', does: 'go-round' },
        { id: 'f', does: 'core', face: 'far' },
      ],
    );
    expect(piloted).toEqual([
      ['face', true],
      ['inside', false],
      ['meets', true],
    ]);
  });
});

import type { HazardCheck } from '../documents/hazardCheck';
import type { Hole } from '../documents/hole';
import type { Operation } from '../documents/operation';
import { caseIn, jobWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { MARKING_MM } from '../layout/aim';
import {
  CAVITY_WALL,
  contextIn,
  coreBit,
  cutAt,
  FOUR_PASSES,
  ROD_10,
  STEPPED_PANE,
  TILED_BLOCK,
  workedOut,
} from './planFixtures';
import { cutsOf } from './planContext';

describe('where cuts meet', () => {
  const SOLID: JobParts = {
    piece: wallOf(['clay-brick', 150]),
    hole: { diameterMm: 52 },
    setup: { bit: 'core', hold: 'guided' },
    bits: [coreBit(52, 200), ROD_10],
  };
  const meeting = (pilotMm: number) =>
    workedOut(SOLID, [
      { id: 'p', does: 'pilot', bitId: 'rod', wet: false, toMm: pilotMm },
      { id: 'n', does: 'core', toMm: 75 },
      { id: 'turn', does: 'go-round' },
      { id: 'f', does: 'core', face: 'far' },
    ]).crossingMm ?? NaN;

  it('they miss by their lean and the marking, which only a pilot through the whole takes away', () => {
    const short = meeting(100);
    const through = meeting(150);
    expect(short - through).toBeCloseTo(MARKING_MM, 9);
    // √(75² + 75²)·tan(lean): the pilot’s own depth does not come into it.
    expect(meeting(60)).toBeCloseTo(short, 12);
    expect(workedOut({}).crossingMm).toBeNull();
    const fromFar: Operation[] = [
      { id: 'turn', does: 'go-round' },
      { id: 'f', does: 'core', face: 'far' },
    ];
    expect(workedOut(SOLID, fromFar).crossingMm).toBeNull();
  });
});

describe('a hole', () => {
  it('is all its cuts, one after the other', () => {
    const context = workedOut(FOUR_PASSES);
    const cuts = cutsOf(context);
    expect(context.stages).toEqual(cuts.flatMap(({ stages }) => stages));
    expect(context.lifts).toEqual(cuts.flatMap(({ lifts }) => lifts));
    expect(context.lifts.length).toBeGreaterThan(4);
    expect(context.exit).toBe(cutAt(context, 3).exit);
    expect(context).toMatchObject({ depthMm: 150, opensFarFace: true, depthPerSideMm: 150 });
    // Three cores on the way, each before the next cut.
    expect(context.operations.filter(({ core }) => core !== null)).toHaveLength(3);
  });

  it('opens no far face where it is blind', () => {
    const depth = { kind: 'blind', depthMm: 80 } as const;
    const blind = workedOut({ ...FOUR_PASSES, hole: { diameterMm: 62, depth } });
    expect(blind).toMatchObject({ depthMm: 80, opensFarFace: false, exit: null, chip: null });
  });

  it('shows the lifts and the depth of its near side, the stages of both', () => {
    const both = workedOut({ piece: { thicknessMm: 12 }, setup: { sides: 'two' } });
    const [near, far] = [cutAt(both, 0), cutAt(both, 1)];
    expect(both.depthPerSideMm).toBe(near.operation.toMm);
    expect(both.lifts).toEqual(near.lifts);
    expect(far.lifts.length).toBeGreaterThan(0);
    expect(both.stages).toEqual([...near.stages, ...far.stages]);
    expect(both.exit).toBe(far.exit);
  });

  it('is shown by the bit that brings it to size, with no stages of the smaller one', () => {
    const stepped = workedOut(STEPPED_PANE);
    expect(stepped.operations.flatMap(({ cut, finishes }) => (cut ? [finishes] : []))).toEqual([
      false,
      true,
    ]);
    expect(stepped.stages).toEqual(cutAt(stepped, 1).stages);
  });
});

describe('what stands for the hole', () => {
  it('is the cut whose leaf goes slowest, wherever it comes', () => {
    const reversed = {
      ...CAVITY_WALL,
      piece: wallOf(['lightweight-block', 100], ['cavity', 70], ['clay-brick', 102]),
    };
    for (const [parts, slow] of [
      [CAVITY_WALL, 0],
      [reversed, 1],
    ] as const) {
      const context = workedOut(parts);
      expect(context.headline).toBe(cutAt(context, slow).headline);
      expect(context.headline.rateMmPerS).toBeLessThan(
        cutAt(context, 1 - slow).headline.rateMmPerS,
      );
    }
  });

  it('has its bit worn by all that bit cuts, and not by another', () => {
    const passes = workedOut(FOUR_PASSES);
    expect(passes.bitLife).toBe(cutAt(passes, 3).bitLife);
    const tiled = workedOut(TILED_BLOCK);
    expect(tiled.headline).toBe(cutAt(tiled, 0).headline);
    expect(tiled.bitLife).toBe(cutAt(tiled, 0).bitLife);
    expect(tiled.bitLife).not.toEqual(cutAt(tiled, 1).bitLife);
  });

  it('is no counterbore, unless that is all there is', () => {
    const parts: JobParts = {
      piece: wallOf(['concrete', 100]),
      hole: { diameterMm: 52, depth: { kind: 'blind', depthMm: 80 } },
      setup: { bit: 'core' },
      bits: [coreBit(52, 200), { ...coreBit(82, 200), id: 'wide' }],
    };
    const wide: Operation = { id: 'w', does: 'counterbore', bitId: 'wide', toMm: 10 };
    const finishes = (list: readonly Operation[]) =>
      workedOut(parts, list).operations.map((one) => one.finishes);
    expect(finishes([{ id: 'c', does: 'core' }, wide, { id: 'o', does: 'break-out' }])).toEqual([
      true,
      false,
      false,
    ]);
    expect(finishes([{ ...wide, toMm: 80 }])).toEqual([true]);
  });
});

it('has the extension of the last cut that wants one', () => {
  const thread = { kind: 'thread-g-half' } as const;
  const job = jobWith({
    ...FOUR_PASSES,
    setup: { bit: 'core', water: { kind: 'bottle' } },
    bits: [{ ...coreBit(62, 120), shank: thread }],
  });
  const longer = { id: 'ext', name: 'Extension', kind: 'extension', lengthMm: 80 } as const;
  const couplings = [{ ...longer, into: thread, takes: thread }];
  const context = contextIn(caseIn({ ...job, kit: { ...job.kit, couplings } }));
  expect(context.extension?.id).toBe('ext');
  expect(workedOut(FOUR_PASSES).extension).toBeNull();
});

it('shuts the water off before a far face that it opens', () => {
  const offAt = (depth: Hole['depth']) =>
    workedOut({
      ...FOUR_PASSES,
      hole: { diameterMm: 62, depth },
      setup: { bit: 'core', water: { kind: 'spindle' } },
      bits: [coreBit(62, 200)],
    }).water.offAtMm;
  expect(offAt({ kind: 'through' })).toBe(130);
  expect(offAt({ kind: 'blind', depthMm: 140 })).toBeNull();
});

it('takes a pane’s treatment as tested once that is recorded', () => {
  const pane = { glassTreatment: 'unknown' } as const;
  const tested: HazardCheck = {
    hazard: 'unknown-treatment',
    answer: 'polariser-clear',
    at: '2026-05-01T00:00:00Z',
  };
  const odds = [[], [tested]].map(
    (checks) => workedOut({ piece: pane, hole: { checks } }).crack.byTreatment,
  );
  expect(odds).toEqual([0.15, 0.01].map((one) => expect.closeTo(one, 9)));
});

import { seatDepth } from '../physics/cutting/stages';
import { finesMass, turbidityLimit } from '../physics/water/turbidity';
import { wallOf, type JobParts } from '../setup/jobFixtures';
import type { ResolvedSetup } from '../setup/resolvedSetup';
import { cutsOf } from './planContext';
import { finesAfter, planWater, totalWater, type WaterInputs } from './planWater';
import { coreBit, cutAt, FOUR_PASSES, STEPPED_PANE, workedOut } from './planFixtures';

/** The water of a hole's first cut, as it is planned. */
function inputsOf(parts: JobParts = {}, change: Partial<WaterInputs> = {}): WaterInputs {
  const { piece, hole, ...context } = workedOut(parts);
  const [cut] = cutsOf(context);
  if (!cut) throw new Error('A hole has a cut.');
  const { setup, layers, headline, seated } = cut;
  const { fromMm, toMm } = cut.operation;
  const own = { piece, hole, setup, layers, headline, fromMm, toMm, seated };
  return { ...own, opensFace: true, finesG: 0, ...change };
}
const PANE = inputsOf();
const { setup: SETUP, headline: CUT } = PANE;
const COVER_MM = 6;

it('pours what stands over the piece in its tray: measured, or 20 mm a side wider than the piece', () => {
  const backingMm = SETUP.support.atThicknessMm;
  const litres = (trayMm2: number): number =>
    (trayMm2 * (backingMm + 6 + COVER_MM) - 400 * 300 * (backingMm + 6)) / 1e6;
  expect(SETUP.coolant.atCoverMm).toBe(COVER_MM);
  expect(planWater(PANE).fillL).toBeCloseTo(litres(440 * 340), 9);
  const tray = { kind: 'still-bath', trayLengthMm: 500, trayWidthMm: 420 } as const;
  expect(planWater(inputsOf({ setup: { water: tray } })).fillL).toBeCloseTo(litres(500 * 420), 9);
});

it('is clear for as many holes as their fines leave the mark to be seen', () => {
  const { fillL, finesG, holesPerFill } = planWater(PANE);
  const limit = turbidityLimit(COVER_MM, CUT.material.grainSizeUm);
  expect(finesG).toBeCloseTo(
    finesMass(CUT.material.densityKgPerM3, CUT.contact.kerfAreaMm2, 6),
    12,
  );
  expect(holesPerFill).toBeCloseTo((limit * (fillL ?? NaN)) / finesG, 9);
});

describe('changes clouded water', () => {
  // Nearly as much as it may hold: it clouds a tenth of a millimetre on.
  const { fillL, finesG } = planWater(PANE);
  const limitG = turbidityLimit(COVER_MM, CUT.material.grainSizeUm) * (fillL ?? NaN);
  const clouding = (setup: Partial<ResolvedSetup>, change: Partial<WaterInputs> = {}) =>
    planWater({
      ...PANE,
      setup: { ...SETUP, ...setup },
      finesG: limitG - (0.1 * finesG) / 6,
      ...change,
    }).changeAtDepthMm;

  it('while the eye alone keeps the bit on its mark, and not where something steers it', () => {
    expect(seatDepth(6)).toBeGreaterThan(0.1);
    const byEye = clouding({ hold: 'freehand', start: 'tilt' });
    expect(byEye).toEqual([expect.closeTo(0.1, 9)]);
    for (const start of ['guide', 'pilot'] as const)
      expect(clouding({ hold: 'freehand', start })).toEqual([]);
    for (const hold of ['press', 'rig', 'guided'] as const)
      expect(clouding({ hold, start: 'tilt' })).toEqual([]);
    expect(clouding({ hold: 'freehand', start: 'tilt' }, { seated: true })).toEqual([]);
  });

  it('as far as the seat of its own cut goes', () => {
    const own = { fromMm: 3, toMm: 6 };
    // Half as long a cut of the same hole takes half the fines.
    const layers = PANE.layers.map((one) => ({ ...one, layer: { ...one.layer, fromMm: 3 } }));
    const byEye = { hold: 'freehand', start: 'tilt' } as const;
    expect(clouding(byEye, { ...own, layers })).toEqual([expect.closeTo(3.1, 9)]);
  });
});

it('takes in what each solid leaf gives, and nothing of a cavity', () => {
  const [leaf] = PANE.layers;
  if (!leaf) throw new Error('A pane is one leaf.');
  const between = (fromMm: number, toMm: number) => ({ ...leaf.layer, fromMm, toMm });
  const layers = [
    { ...leaf, layer: between(0, 4) },
    { ...leaf, layer: between(4, 9), slowest: null },
    { ...leaf, layer: between(9, 12) },
  ];
  expect(planWater({ ...PANE, layers, toMm: 12 }).finesG).toBeCloseTo(
    finesMass(CUT.material.densityKgPerM3, CUT.contact.kerfAreaMm2, 7),
    12,
  );
});

describe('shuts running water off', () => {
  const wall = inputsOf({
    piece: wallOf(['concrete', 150]),
    hole: { diameterMm: 52 },
    setup: { bit: 'core', water: { kind: 'spindle' } },
    bits: [coreBit(52, 400)],
  });
  const offAt = (change: Partial<WaterInputs>, offBeforeFarFaceMm?: number) =>
    planWater({
      ...wall,
      ...change,
      setup: {
        ...wall.setup,
        wanted: { ...wall.setup.wanted, water: { kind: 'spindle', offBeforeFarFaceMm } as never },
      },
    }).offAtMm;

  it('20 mm before a wall’s far face, or as wanted, in the cut that comes there', () => {
    expect(offAt({})).toBe(130);
    expect(offAt({}, 45)).toBe(105);
    expect(offAt({}, 0)).toBeNull();
    expect(offAt({ fromMm: 0, toMm: 130 })).toBe(130);
    expect(offAt({ fromMm: 0, toMm: 129 })).toBeNull();
    expect(offAt({ fromMm: 129, toMm: 150 })).toBe(130);
    expect(offAt({ fromMm: 130, toMm: 150 })).toBeNull();
    expect(planWater({ ...wall, setup: { ...wall.setup, wanted: {} } }).offAtMm).toBe(130);
  });

  it('nowhere else', () => {
    expect(offAt({ opensFace: false })).toBeNull();
    expect(offAt({ piece: { ...wall.piece, form: 'floor' } })).toBeNull();
  });
});

it('leaves the fines cut since the last change', () => {
  const { fillL, finesG } = planWater(PANE);
  const water = { ...planWater(PANE), fillL, finesG, changeAtDepthMm: [2, 4.5] };
  expect(finesAfter(water, 1, 0, 6)).toBeCloseTo((finesG * 1.5) / 6, 12);
  expect(finesAfter({ ...water, changeAtDepthMm: [] }, 1, 0, 6)).toBeCloseTo(1 + finesG, 12);
  expect(finesAfter({ ...water, fillL: null }, 1, 0, 6)).toBe(1);
});

describe('of a whole hole', () => {
  const BATH: JobParts = {
    ...STEPPED_PANE,
    setup: { ...STEPPED_PANE.setup, water: { kind: 'pool' } },
  };

  it('carries its fines from one cut to the next, and none past a change', () => {
    const context = workedOut(BATH);
    const [first, second] = [cutAt(context, 0), cutAt(context, 1)];
    const { densityKgPerM3 } = first.headline.material;
    expect(first.water.finesG).toBeCloseTo(
      finesMass(densityKgPerM3, first.headline.contact.kerfAreaMm2, 12),
      9,
    );
    // The second ring grinds what the first left of it.
    expect(second.water.finesG).toBeCloseTo(
      finesMass(densityKgPerM3, second.headline.contact.kerfAreaMm2, 12),
      9,
    );
    expect(context.water.finesG).toBeCloseTo(first.water.finesG + second.water.finesG, 9);
    const bath = { ...first.water, finesG: 12, fillL: 1 };
    expect(finesAfter({ ...bath, changeAtDepthMm: [] }, 5, 0, 12)).toBe(17);
    expect(finesAfter({ ...bath, changeAtDepthMm: [3, 8] }, 5, 0, 12)).toBeCloseTo(4, 12);
    expect(finesAfter({ ...bath, changeAtDepthMm: [8] }, 5, 4, 12)).toBeCloseTo(6, 12);
    // Water that runs holds nothing; what stood in a tray before is there still.
    expect(finesAfter({ ...bath, fillL: null, changeAtDepthMm: [3] }, 5, 0, 12)).toBe(5);
  });

  it('fills for as many whole holes as it stays clear enough for', () => {
    const { water } = cutAt(workedOut(BATH), 0);
    const one = { ...water, finesG: 10, holesPerFill: 6.6, slurryL: null, offAtMm: null };
    const other = { ...one, finesG: 20, changeAtDepthMm: [4] };
    const total = totalWater(one, [one, other], [other]);
    // 6.6 times 10 g is what it bears: two holes of 30 g.
    expect(total).toMatchObject({ finesG: 30, holesPerFill: 2, changeAtDepthMm: [4] });
  });

  it('runs off as one slurry, not known where one cut never ends', () => {
    const { water } = cutAt(workedOut(FOUR_PASSES), 0);
    const one = { ...water, slurryL: 2, offAtMm: null };
    expect(totalWater(one, [one, { ...one, slurryL: 3 }], [one]).slurryL).toBe(5);
    expect(totalWater(one, [one, { ...one, slurryL: null }], [one]).slurryL).toBeNull();
    expect(totalWater(one, [{ ...one, slurryL: null }, one], [one]).slurryL).toBeNull();
    expect(totalWater(one, [one, { ...one, method: 'none', slurryL: 9 }], [one]).slurryL).toBe(2);
    const off = { ...one, offAtMm: 130 };
    expect(totalWater(one, [one, off], [one, off]).offAtMm).toBe(130);
  });
});

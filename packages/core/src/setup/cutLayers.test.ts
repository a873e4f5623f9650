import { CAVITY, MATERIALS } from '../data/materials/materials';
import { caseWith } from './jobFixtures';
import { resolveSetup } from './resolveSetup';
import {
  cutLayer,
  cutMaterial,
  layersFromFarFace,
  layersTo,
  rateAt,
  slowestOf,
  type DepthLayer,
} from './cutLayers';

const { 'float-glass': GLASS, granite: GRANITE, marble: MARBLE } = MATERIALS;
const piece = (thicknessMm: number, layers?: readonly (readonly [string, number])[]) => ({
  material: 'float-glass',
  thicknessMm,
  ...(layers && {
    layers: layers.map(([material, thickness]) => ({ material, thicknessMm: thickness })),
  }),
});
const stretches = (layers: readonly DepthLayer[]) =>
  layers.map(({ id, fromMm, toMm }) => [id, fromMm, toMm]);
const setup = resolveSetup(caseWith(), GLASS);
const bit = setup.finishing;
const leaf = (...parts: DepthLayer['parts']): DepthLayer => ({
  id: 'leaf',
  fromMm: 0,
  toMm: 6,
  parts,
});
const all = (material: typeof GLASS): DepthLayer => leaf({ material, share: 1 });

describe('leaves', () => {
  const WALL = piece(300, [
    ['clay-brick', 100],
    [CAVITY, 60],
    ['lightweight-block', 140],
  ]);

  it('are one where a piece is of one stuff, down to where the hole ends', () => {
    expect(stretches(layersTo([], piece(6), 6))).toEqual([['float-glass', 0, 6]]);
    expect(stretches(layersTo([], piece(6), 4))).toEqual([['float-glass', 0, 4]]);
    expect(layersTo([], piece(6), 6)[0]?.parts).toEqual([{ material: GLASS, share: 1 }]);
  });

  it('follow one another, nothing in a cavity, none below the hole', () => {
    expect(stretches(layersTo([], WALL, 300))).toEqual([
      ['clay-brick', 0, 100],
      [CAVITY, 100, 160],
      ['lightweight-block', 160, 300],
    ]);
    expect(layersTo([], WALL, 300)[1]?.parts).toEqual([]);
    expect(stretches(layersTo([], WALL, 130))).toEqual([
      ['clay-brick', 0, 100],
      [CAVITY, 100, 130],
    ]);
    expect(stretches(layersTo([], WALL, 100))).toEqual([['clay-brick', 0, 100]]);
  });

  it('are met the other way round from the far face', () => {
    const whole = layersTo([], WALL, 300);
    expect(stretches(layersFromFarFace(whole, 300, 300))).toEqual([
      ['lightweight-block', 0, 140],
      [CAVITY, 140, 200],
      ['clay-brick', 200, 300],
    ]);
    expect(stretches(layersFromFarFace(whole, 300, 150))).toEqual([
      ['lightweight-block', 0, 140],
      [CAVITY, 140, 150],
    ]);
  });

  it('hold their mix, and know a material of one’s own before the table’s', () => {
    const own = { ...GRANITE, id: 'float-glass', name: 'Own' };
    const mixed = {
      material: 'mix',
      thicknessMm: 9,
      layers: [
        {
          material: 'granite',
          thicknessMm: 9,
          mix: [
            { material: 'float-glass', share: 0.25 },
            { material: 'granite', share: 0.75 },
          ],
        },
      ],
    };
    expect(layersTo([own], mixed, 9)[0]?.parts).toEqual([
      { material: own, share: 0.25 },
      { material: GRANITE, share: 0.75 },
    ]);
    expect(() => layersTo([], { material: 'moonstone', thicknessMm: 3 }, 3)).toThrow('moonstone');
  });
});

describe('the rate of a leaf', () => {
  const rateIn = (material: typeof GLASS): number =>
    cutLayer(all(material), bit, setup, 0).rateMmPerS;

  it('is the harmonic mean over its mix: times add up, not rates', () => {
    const [glass, granite] = [rateIn(GLASS), rateIn(GRANITE)];
    const mixed = cutLayer(
      leaf({ material: GLASS, share: 0.3 }, { material: GRANITE, share: 0.7 }),
      bit,
      setup,
      0,
    );
    expect(mixed.rateMmPerS).toBeCloseTo(1 / (0.3 / glass + 0.7 / granite), 12);
    expect(mixed.slowest?.rateMmPerS).toBeCloseTo(Math.min(glass, granite), 12);
  });

  it('is without end in a cavity, which has no slowest', () => {
    const cavity = cutLayer(leaf(), bit, setup, 0);
    expect([cavity.rateMmPerS, cavity.slowest]).toEqual([Infinity, null]);
  });

  it('rises with the force and with the speed, and falls by what the log says', () => {
    const cut = cutMaterial(GLASS, bit, setup, 0, 6);
    const { rpm } = cut.speed;
    const { feedForceN } = cut.force;
    expect(rateAt(cut, feedForceN, rpm)).toBeCloseTo(cut.rateMmPerS, 12);
    expect(rateAt(cut, 1.2 * feedForceN, rpm)).toBeGreaterThan(cut.rateMmPerS);
    expect(rateAt(cut, feedForceN, 0.8 * rpm)).toBeLessThan(cut.rateMmPerS);
    const slow = cutMaterial(GLASS, bit, { ...setup, cuttingTimes: 1.5 }, 0, 6);
    expect(cut.rateMmPerS / slow.rateMmPerS).toBeCloseTo(1.5, 12);
  });

  it('is pressed and turned no harder than the tenderest it may be allows', () => {
    const caps = { pressureMpa: 0.05, rimSpeedMPerS: 0.4 };
    const cut = cutMaterial(GLASS, bit, { ...setup, caps }, 0, 6);
    expect(cut.force.contactPressureMpa).toBeLessThanOrEqual(0.05 + 1e-12);
    expect(cut.speed.rimSpeedMPerS).toBeCloseTo(0.4, 2);
  });

  it('needs less force in a hole that is there already', () => {
    const whole = cutMaterial(GLASS, bit, setup, 0, 6);
    // 25 mm with a rim of 1 mm: a pilot of 24 leaves half of its width.
    const reamed = cutMaterial(GLASS, bit, setup, 24, 6);
    expect(reamed.contact.contactAreaMm2).toBeLessThan(0.55 * whole.contact.contactAreaMm2);
    expect(reamed.force.feedForceN).toBeLessThan(whole.force.feedForceN);
  });
});

it('shows the slowest leaf, and cannot do without a solid one', () => {
  const cuts = [GLASS, GRANITE, MARBLE].map((material) => cutLayer(all(material), bit, setup, 0));
  const rates = cuts.map(({ rateMmPerS }) => rateMmPerS);
  expect(slowestOf(cuts).rateMmPerS).toBe(Math.min(...rates));
  expect(slowestOf([cutLayer(leaf(), bit, setup, 0), ...cuts]).rateMmPerS).toBe(Math.min(...rates));
  expect(() => slowestOf([cutLayer(leaf(), bit, setup, 0)])).toThrow('solid layer');
});

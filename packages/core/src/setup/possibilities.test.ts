import { MATERIALS } from '../data/materials/materials';
import { cuttingWindow } from '../physics/cutting/pace';
import { cutMaterial } from './cutLayers';
import { jobWith, caseWith } from './jobFixtures';
import { capsOf, cutIfOther, possibleMaterials } from './possibilities';
import { resolveSetup } from './resolveSetup';

const { granite: GRANITE, marble: MARBLE, basalt: BASALT } = MATERIALS;
const [sheet] = jobWith().pieces;
if (!sheet) throw new Error('no piece');
const couldBe = (...shares: readonly (readonly [string, number])[]) =>
  possibleMaterials([], {
    ...sheet,
    couldBe: shares.map(([material, share]) => ({ material, share })),
  }).map(({ material, share }) => [material.id, share]);

describe('what a piece may be', () => {
  it('comes likeliest first, shares adding up to one', () => {
    expect(couldBe(['marble', 0.25], ['granite', 0.5])).toEqual([
      ['granite', 2 / 3],
      ['marble', 1 / 3],
    ]);
  });

  it('leaves out what is hardly likely, and what nobody knows', () => {
    expect(couldBe(['granite', 0.5], ['marble', 0.46], ['basalt', 0.04])).toHaveLength(2);
    expect(couldBe(['granite', 0.5], ['marble', 0.45], ['basalt', 0.05])).toHaveLength(3);
    expect(couldBe(['granite', 0.6], ['marble', 0.3], ['moonstone', 0.1])).toHaveLength(2);
  });

  it('is no question where one is left, or the leaves are named', () => {
    expect(couldBe(['granite', 0.97], ['marble', 0.03])).toEqual([]);
    expect(couldBe()).toEqual([]);
    const layers = [{ material: 'clay-brick', thicknessMm: 6 }];
    const shares = [
      { material: 'granite', share: 0.5 },
      { material: 'marble', share: 0.5 },
    ];
    expect(possibleMaterials([], { ...sheet, layers, couldBe: shares })).toEqual([]);
  });
});

describe('drilling what may be either', () => {
  const setup = resolveSetup(caseWith(), GRANITE);
  const { geometry } = setup.finishing;
  const window = (material: typeof GRANITE) => cuttingWindow(material, geometry);
  const planned = cutMaterial(GRANITE, setup.finishing, setup, 0, 20);

  it('goes by the tenderest of them, in force and in speed', () => {
    const caps = capsOf(
      [GRANITE, MARBLE].map((material) => ({ material, share: 0.5 })),
      geometry,
    );
    const { pressureMpa, rimSpeedMPerS } = window(MARBLE);
    expect(caps?.pressureMpa).toBe(Math.min(pressureMpa.high, window(GRANITE).pressureMpa.high));
    expect(caps?.rimSpeedMPerS).toBe(
      Math.min(rimSpeedMPerS.high, window(GRANITE).rimSpeedMPerS.high),
    );
    expect(capsOf([], geometry)).toBeUndefined();
  });

  it('stays the cut it is where it is what it was planned for', () => {
    const same = cutIfOther(planned, GRANITE);
    expect(same.rateMmPerS).toBeCloseTo(planned.rateMmPerS, 12);
    expect(same.force.feedForceN).toBeCloseTo(planned.force.feedForceN, 9);
  });

  it('is pressed harder where the planned force would only polish it', () => {
    const faint = { ...planned, force: { ...planned.force, contactPressureMpa: 0.01 } };
    const { low } = window(BASALT).pressureMpa;
    const other = cutIfOther(faint, BASALT);
    expect(other.force.contactPressureMpa).toBeCloseTo(low, 12);
    expect(other.force.feedForceN).toBeCloseTo(low * planned.contact.contactAreaMm2, 9);
  });

  it('is never pressed past what machine and arms give, less where it rubs more', () => {
    const weakN = 5;
    const faint = {
      ...planned,
      force: { ...planned.force, contactPressureMpa: 0.01, maxN: weakN },
    };
    const rough = { ...GRANITE, friction: 2 * GRANITE.friction };
    expect(cutIfOther(faint, GRANITE).force.feedForceN).toBeCloseTo(weakN, 9);
    expect(cutIfOther(faint, rough).force.feedForceN).toBeCloseTo(weakN / 2, 9);
    const smooth = { ...GRANITE, friction: GRANITE.friction / 2 };
    expect(cutIfOther(faint, smooth).force.feedForceN).toBeCloseTo(weakN, 9);
  });
});

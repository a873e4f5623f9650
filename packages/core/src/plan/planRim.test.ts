import { mixtureQuantile } from '../math/logNormalMixture';
import { exitChipWidth } from '../physics/exit/exitChip';
import { logNormalP90 } from '../physics/spread';
import { lifeDepth, wornFurther } from '../physics/wear/sharpness';
import { MATERIALS } from '../data/materials/materials';
import { caseWith } from '../setup/jobFixtures';
import { cutsOf } from './planContext';
import { planChip, planWear } from './planRim';
import { chipSd } from './planStages';
import { contextIn } from './planFixtures';

const context = contextIn(caseWith());
const [FIRST] = cutsOf(context);
if (!FIRST?.exit) throw new Error('A pane is opened.');
const { headline: CUT, setup, exit } = FIRST;

describe('the exit chip', () => {
  const sd = chipSd(setup, CUT);

  it('is log-normal about what is calculated', () => {
    const chip = planChip(exit, setup, CUT, []);
    expect(chip).toEqual({ p50: exit.chipWidthMm, p90: logNormalP90(exit.chipWidthMm, sd) });
  });

  it('is over all the piece may be where nobody is sure, by their shares', () => {
    const possible = [
      { material: CUT.material, share: 0.7 },
      { material: MATERIALS.marble, share: 0.3 },
    ];
    const parts = possible.map(({ material, share }) => ({
      median: exitChipWidth(material, exit.exitForceN, exit.conditions),
      sd,
      share,
    }));
    expect(parts[1]?.median).not.toBeCloseTo(parts[0]?.median ?? NaN, 1);
    const chip = planChip(exit, setup, CUT, possible);
    expect(chip.p50).toBeCloseTo(mixtureQuantile(parts, 0.5), 12);
    expect(chip.p90).toBeCloseTo(mixtureQuantile(parts, 0.9), 12);
    // What chips nothing chips nothing, whatever it is.
    expect(planChip({ ...exit, chipWidthMm: 0 }, setup, CUT, possible)).toEqual({ p50: 0, p90: 0 });
  });
});

describe('the rim', () => {
  const { family } = setup.finishing.bit;
  const lifeOf = (handling: Parameters<typeof lifeDepth>[2]) =>
    lifeDepth(family, CUT.material, handling);
  const AS_IT_SHOULD = { dry: false, tooFast: false, tooHard: false };
  const { rimSpeedMPerS, pressureMpa } = CUT.window;
  const at = (speed: number, pressure: number, dry = false) => ({
    ...CUT,
    dry,
    speed: { ...CUT.speed, rimSpeedMPerS: speed },
    force: { ...CUT.force, contactPressureMpa: pressure },
  });
  const FINE = at(rimSpeedMPerS.high, pressureMpa.high);

  it.each([
    ['as it should', FINE, AS_IT_SHOULD],
    ['dry', at(rimSpeedMPerS.high, pressureMpa.high, true), { ...AS_IT_SHOULD, dry: true }],
    [
      'too fast',
      at(rimSpeedMPerS.high * 1.01, pressureMpa.high),
      { ...AS_IT_SHOULD, tooFast: true },
    ],
    [
      'too hard',
      at(rimSpeedMPerS.high, pressureMpa.high * 1.01),
      { ...AS_IT_SHOULD, tooHard: true },
    ],
  ])('lasts as long as it does %s', (_, cut, handling) => {
    const { p10, p50, p90 } = lifeOf(handling);
    expect(planWear(cut, setup, 6)).toMatchObject({
      lifeP10Mm: p10,
      lifeDepthMm: p50,
      lifeP90Mm: p90,
    });
  });

  it('wears by the depth it cuts, as much faster as its life is shorter', () => {
    expect(planWear(FINE, setup, 60).sharpnessAfter).toBeCloseTo(
      wornFurther(
        CUT.sharpness,
        (60 * CUT.lifeDepthMm) / lifeOf(AS_IT_SHOULD).p50,
        CUT.lifeDepthMm,
      ),
      12,
    );
    const dry = at(rimSpeedMPerS.high, pressureMpa.high, true);
    const times = lifeOf(AS_IT_SHOULD).p50 / lifeOf({ ...AS_IT_SHOULD, dry: true }).p50;
    expect(times).toBeGreaterThan(1);
    expect(planWear(dry, setup, 60).sharpnessAfter).toBeCloseTo(
      planWear(FINE, setup, 60 * times).sharpnessAfter,
      12,
    );
  });
});

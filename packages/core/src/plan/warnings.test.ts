import type { WarningCode } from '../documents/plan';
import { caseWith } from '../setup/jobFixtures';
import { SIZE_TOLERANCE_MM } from '../setup/resolvedSetup';
import type { PlanContext } from './planContext';
import { leafNotSuited, warningsOf } from './warnings';
import { contextIn } from './planFixtures';

const context = contextIn(caseWith({ setup: { hold: 'press' } }));
/** A pane drilled as it should be. */
const PLAIN: PlanContext = context;
const { headline, setup, hole, crack, passes, fit } = PLAIN;
const { finishing } = setup;
type Change = Partial<PlanContext>;

const cutting = (change: Partial<typeof headline>): Change => ({
  headline: { ...headline, ...change },
});
const spinning = (change: Partial<typeof headline.speed>): Change =>
  cutting({ speed: { ...headline.speed, outsideWindow: null, limits: [], ...change } });
const pressed = (contactPressureMpa: number): Change =>
  cutting({ force: { ...headline.force, contactPressureMpa } });
const limited = (limitedBy: typeof headline.force.limitedBy): Change =>
  cutting({ force: { ...headline.force, limitedBy } });
const withBit = (change: Partial<typeof finishing.bit>): Change => ({
  setup: { ...setup, finishing: { ...finishing, bit: { ...finishing.bit, ...change } } },
});
const bent = (stressMpa: number): Change => ({
  bending: { kind: 'bent', stressMpa } as PlanContext['bending'],
});
/** The part takes a hole between these, mm. */
const fitting = (leastMm: number, mostMm: number): Change => ({
  fit: { ...fit, diameter: { targetMm: 25, leastMm, mostMm } } as PlanContext['fit'],
});
const short = { ...passes, extensionMm: 3 };
const { glaze, high } = headline.window.pressureMpa;
const chipped = (times: number, belowGlaze = false): Change => {
  if (!PLAIN.exit) throw new Error('It opens the far face.');
  const p50 = PLAIN.exit.allowedChipMm * times;
  return { exit: { ...PLAIN.exit, belowGlaze }, chip: { p50, p90: 2 * p50 } };
};

it('says nothing of what is as it should be', () => {
  expect(warningsOf(PLAIN)).toEqual([]);
  expect(warningsOf({ ...PLAIN, ...fitting(24, 26) })).toEqual([]);
});

it.each<[WarningCode, Change, Change]>([
  ['not-held', { bending: { kind: 'trouble', trouble: 'tips' } }, bent(0)],
  ['bends-too-far', bent(crack.limitMpa * 1.001), bent(crack.limitMpa)],
  ['purpose-clash', { purposeClashes: true }, { purposeClashes: false }],
  ['bit-outside-fit', fitting(25.006, 26), fitting(25.004, 26)],
  ['bit-outside-fit', fitting(24, 24.994), fitting(24, 24.996)],
  // What it cuts is as wide as its run-out makes it.
  ['bit-outside-fit', { ...fitting(24, 25.2), ...withBit({ runOutMm: 0.3 }) }, fitting(24, 25.2)],
  [
    'bit-off-size',
    { hole: { ...hole, diameterMm: 25 + 1.01 * SIZE_TOLERANCE_MM } },
    { hole: { ...hole, diameterMm: 25 + 0.99 * SIZE_TOLERANCE_MM } },
  ],
  [
    'material-not-sure',
    { possible: [headline, headline].map(({ material }) => ({ material, share: 0.5 })) },
    { possible: [{ material: headline.material, share: 1 }] },
  ],
  ['extension-needed', { passes: short }, { passes: { ...short, extensionMm: 0 } }],
  [
    'bit-too-short',
    {
      passes: short,
      setup: {
        ...setup,
        finishing: { ...finishing, geometry: { ...finishing.geometry, solid: true } },
      },
    },
    { passes: short, extension: { id: 'e', name: 'Extension' } as PlanContext['extension'] },
  ],
  [
    'bit-overspeed',
    withBit({ maxRpm: headline.speed.rpm - 1 }),
    withBit({ maxRpm: headline.speed.rpm }),
  ],
  ['speed-above-window', spinning({ outsideWindow: 'above' }), spinning({})],
  ['speed-below-window', spinning({ outsideWindow: 'below' }), spinning({})],
  ['speed-limited', spinning({ limits: ['water-throw-off'] }), spinning({})],
  ['speed-limited', spinning({ limits: ['bit-limit'] }), spinning({})],
  ['does-not-cut', { time: { ...PLAIN.time, spread: null } }, {}],
  ['polishes', pressed(glaze * 0.999), pressed(glaze)],
  ['presses-too-hard', pressed(high * 1.001), pressed(high)],
  ['torque-limited', limited('torque'), limited(null)],
  ['power-limited', limited('power'), limited(null)],
  ['force-beyond-arms', limited('arms'), limited(null)],
  [
    'overheats',
    { thermalStressMpa: headline.material.edgeStrengthMpa * 0.501 },
    { thermalStressMpa: headline.material.edgeStrengthMpa * 0.5 },
  ],
  ['boils-dry', { boiling: 'film' }, {}],
  ['exit-force-below-glaze', chipped(1, true), chipped(1)],
  ['chip-wider-than-allowed', chipped(1.002), chipped(1)],
  ['bit-worn', cutting({ sharpness: 0.49 }), cutting({ sharpness: 0.5 })],
])('warns of %s, and not short of it', (code, beyond, within) => {
  expect(warningsOf({ ...PLAIN, ...beyond })).toContain(code);
  expect(warningsOf({ ...PLAIN, ...within })).not.toContain(code);
});

it('says of a chip that an exit force too low to cut makes no other', () => {
  expect(warningsOf({ ...PLAIN, ...chipped(1.5, true) })).not.toContain('chip-wider-than-allowed');
});

it('names the first leaf its bit is not made for, and none that is not cut', () => {
  const leaf = (family: 'plated-cup-saw' | 'dry-segmented-core', cut = true) => {
    const [layer] = PLAIN.layers;
    if (!layer?.slowest) throw new Error('A pane is one leaf.');
    const { slowest } = layer;
    return { ...layer, slowest: cut ? { ...slowest, bit: { ...slowest.bit, family } } : null };
  };
  expect(leafNotSuited(PLAIN)).toBeUndefined();
  // A dry masonry core is for no glass.
  const layers = [
    leaf('plated-cup-saw'),
    leaf('dry-segmented-core', false),
    leaf('dry-segmented-core'),
  ];
  expect(leafNotSuited({ ...PLAIN, layers: layers.slice(0, 2) })).toBeUndefined();
  const wrong = { ...PLAIN, layers };
  expect(leafNotSuited(wrong)?.bit.family).toBe('dry-segmented-core');
  expect(warningsOf(wrong)).toEqual(['wrong-bit-for-material']);
});

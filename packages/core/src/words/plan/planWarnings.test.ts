import type { Bit } from '../../documents/kit';
import { caseWith, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from './makePlan';
import type { WarningCode } from '../../documents/plan';

function warnings(parts: JobParts): Record<string, string> {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return Object.fromEntries(
    outcome.plan.warnings.map((warning) => [warning.code, warning.message]),
  );
}

const cup = (parts: Partial<Bit> = {}): Bit => ({
  id: 'cup25',
  name: 'Cup',
  family: 'plated-cup-saw',
  diameterMm: 25,
  ...parts,
});
const slow = {
  id: 'free',
  name: 'Slow drill',
  kind: 'corded-drill' as const,
  speeds: { kind: 'range' as const, minRpm: 1, maxRpm: 60 },
};
const fast = { id: 'free', name: 'Grinder', kind: 'angle-grinder' as const };

it('has nothing to say of a sound set-up', () => {
  expect(warnings({ setup: { support: { kind: 'plywood' }, hold: 'press' } })).toEqual({});
});

it.each<[WarningCode, JobParts, RegExp]>([
  [
    'wrong-bit-for-material',
    {
      bits: [{ id: 's', name: 'Spear', family: 'carbide-spear', diameterMm: 10 }],
      hole: { diameterMm: 10 },
    },
    /carbide spear is not made for float glass/,
  ],
  ['bit-off-size', { hole: { diameterMm: 28 } }, /hole of 25 mm, not 28 mm/],
  [
    'bit-too-short',
    {
      piece: { thicknessMm: 60, form: 'block', material: 'basalt' },
      hole: { diameterMm: 2 },
      bits: [{ id: 'p', name: 'P', family: 'plated-point', diameterMm: 2 }],
    },
    /mm short of the depth/,
  ],
  ['extension-needed', { piece: { thicknessMm: 60, form: 'block' } }, /an extension must carry it/],
  ['speed-below-window', { machine: slow }, /below the 0.5 m\/s it cuts well at/],
  [
    'speed-above-window',
    { machine: fast },
    /above the 2.5 m\/s that float glass allows.*goes no slower/,
  ],
  [
    'speed-limited',
    { setup: { rimSpeedMPerS: 2, water: { kind: 'drip' } } },
    /Held to 1.5 m\/s: faster would throw the water off \(drip/,
  ],
  [
    'polishes',
    { setup: { contactPressureMpa: 0.06 } },
    /under the 0.08 MPa at which the rim starts to polish/,
  ],
  [
    'does-not-cut',
    { setup: { contactPressureMpa: 0.03 } },
    /the rim only slides: press more, from 0.15 MPa/,
  ],
  ['presses-too-hard', { setup: { contactPressureMpa: 1.5 } }, /over the 0.9 MPa/],
  [
    'torque-limited',
    {
      machine: {
        id: 'free',
        name: 'Tiny',
        kind: 'pen-tool',
        speeds: { kind: 'range', minRpm: 1, maxRpm: 9000 },
      },
    },
    /past half its stalling torque/,
  ],
  [
    'force-beyond-arms',
    {
      piece: { material: 'granite', form: 'slab' },
      bits: [cup({ family: 'sintered-core', diameterMm: 50 })],
      hole: { diameterMm: 50 },
    },
    /Force held to [12]\d0 N: arms give no more for as long as it takes/,
  ],
  ['overheats', { setup: { water: { kind: 'none' } } }, /Heat alone puts 32 MPa of tension/],
  [
    'exit-force-below-glaze',
    { piece: { thicknessMm: 2 }, setup: { hold: 'freehand', support: { kind: 'nothing' } } },
    /Put something hard behind it/,
  ],
  [
    'chip-wider-than-allowed',
    { setup: { hold: 'guided', exit: 'hold' }, piece: { thicknessMm: 3 } },
    /Expect exit chips of about/,
  ],
  ['bit-worn', { bits: [cup({ sharpness: 0.4 })] }, /worn past half its bite/],
])('says %s', (code, parts, message) => {
  expect(warnings(parts)[code]).toMatch(message);
});

it('counts wear from the depth a bit has cut', () => {
  expect(warnings({ bits: [cup({ depthCutMm: 100 })] })).toHaveProperty('bit-worn');
  expect(warnings({ bits: [cup({ depthCutMm: 50 })] })).not.toHaveProperty('bit-worn');
});

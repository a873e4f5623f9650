import { coreMassOf } from './planCores';
import type { Machine } from '../documents/kit';
import { clutchOf, MACHINE_KINDS } from '../data/machines/machineKinds';
import { jamTorque } from '../physics/holding/holdingTorque';
import { caseWith, wallOf } from '../setup/jobFixtures';
import { hazardScene } from './hazardScene';
import type { CutPlan, HoleTask } from './planCut';
import { contextIn, coreBit, cutAt, FOUR_PASSES, taskOf, workedOut } from './planFixtures';

function asked(machine: Partial<Machine>): { task: HoleTask; cut: CutPlan } {
  const context = contextIn(
    caseWith({
      piece: wallOf(['clay-brick', 10], ['concrete', 140]),
      hole: { diameterMm: 52 },
      bits: [coreBit(52, 200)],
      setup: { bit: 'core', water: { kind: 'bottle' } },
      machine: { id: 'free', name: 'Drill', kind: 'rotary-hammer', ...machine },
    }),
  );
  return { task: taskOf(context), cut: cutAt(context, 0) };
}
const sceneOf = ({ task, cut }: ReturnType<typeof asked>) => hazardScene({}, task, cut, 60);

it('is powered as the machine is, and as its kind usually is where that is not said', () => {
  expect(sceneOf(asked({})).work.power).toBe(MACHINE_KINDS['rotary-hammer'].power);
  expect(sceneOf(asked({ power: 'low-voltage' })).work.power).toBe('low-voltage');
});

it('jams with the torque its clutch lets through, or all it has', () => {
  for (const kind of ['rotary-hammer', 'bench-drill-press'] as const) {
    const { task, cut } = asked({ kind });
    const clutchNm = clutchOf(cut.setup.machine);
    const { work } = sceneOf({ task, cut });
    expect(work.hasClutch).toBe(clutchNm !== null);
    const { stallTorqueNm } = cut.headline.speed.setting;
    expect(work.jamTorqueNm).toBe(jamTorque(stallTorqueNm, clutchNm).jamNm);
  }
  expect(MACHINE_KINDS['rotary-hammer'].clutchTorqueNm).not.toBeNull();
  expect(MACHINE_KINDS['bench-drill-press'].clutchTorqueNm).toBeNull();
});

it('is of the first leaf that is cut, and lists all that are and all it may be', () => {
  const { task, cut } = asked({});
  const scene = sceneOf({ task, cut });
  expect(scene.material.id).toBe('clay-brick');
  const unsure = { ...task, possible: [{ material: cut.headline.material, share: 1 }] };
  expect(sceneOf({ task: unsure, cut }).materials.map(({ id }) => id)).toEqual([
    'clay-brick',
    'concrete',
    cut.headline.material.id,
  ]);
  const layers = cut.layers.map((layer, at) => (at === 0 ? { ...layer, slowest: null } : layer));
  expect(sceneOf({ task, cut: { ...cut, layers } }).material.id).toBe('concrete');
  expect(sceneOf({ task, cut: { ...cut, layers: [] } }).material).toBe(cut.headline.material);
});

it('are asked of the hazards cut by cut, by what each leaves standing', () => {
  const context = workedOut(FOUR_PASSES);
  const scene = hazardScene({ checks: [] }, taskOf(context), cutAt(context, 1), 600);
  expect(scene.work.coreMassKg).toBeCloseTo(coreMassOf(cutAt(context, 1)), 12);
  expect(scene.work.cuttingMinutes).toBeCloseTo(10, 12);
  expect(scene.material.id).toBe('concrete');
  expect(hazardScene({}, taskOf(context), cutAt(context, 1), Infinity).work.cuttingMinutes).toBe(0);
});

it('is of the first leaf the bit meets, though another goes slower', () => {
  const context = workedOut({
    piece: wallOf(['lightweight-block', 60], ['engineering-brick', 90]),
    hole: { diameterMm: 52 },
    setup: { bit: 'core' },
    bits: [
      {
        id: 'core',
        name: 'Core 52',
        family: 'segmented-core',
        diameterMm: 52,
        usableDepthMm: 200,
      },
    ],
  });
  expect(cutAt(context, 0).headline.material.id).toBe('engineering-brick');
  expect(hazardScene({}, taskOf(context), cutAt(context, 0), 60).material.id).toBe(
    'lightweight-block',
  );
});

import type { DrillCase } from './drillCase';
import type { Bit, Machine } from '../documents/kit';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import { MATERIALS, type MaterialId } from '../data/materials/materials';
import { caseWith, type JobParts } from './jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { resolveSetup } from './resolveSetup';
import { suits } from './assumeSetup';

interface Scene {
  readonly piece?: Partial<Piece>;
  readonly hole?: Partial<Hole>;
  readonly material?: MaterialId;
  readonly bits?: readonly Bit[];
  readonly machines?: readonly Machine[];
}

/** Resolves a hole about which nobody has said how it is to be drilled. */
function bare({
  piece = {},
  hole = {},
  material = 'float-glass',
  bits = [],
  machines = [],
}: Scene) {
  const base = caseWith();
  const { setup: _setup, ...unset } = base.hole;
  const drillCase: DrillCase = {
    ...base,
    kit: { bits, machines },
    piece: { ...base.piece, material, ...piece },
    hole: { ...unset, ...hole },
  };
  return resolveSetup(drillCase, MATERIALS[material]);
}

const family = (scene: Scene): string => bare(scene).finishing.geometry.family;

describe('the bit it would reach for', () => {
  it.each<[string, Scene, string]>([
    ['the smallest holes', { material: 'basalt', hole: { diameterMm: 1.5 } }, 'plated-point'],
    ['small holes in glass', { hole: { diameterMm: 4 } }, 'plated-tube'],
    ['glass', { hole: { diameterMm: 22 } }, 'plated-cup-saw'],
    [
      'porcelain tile',
      { material: 'porcelain-tile', hole: { diameterMm: 10 } },
      'brazed-tile-core',
    ],
    ['thin stone', { material: 'slate', piece: { thicknessMm: 10 } }, 'plated-cup-saw'],
    ['thick stone', { material: 'granite', piece: { thicknessMm: 30 } }, 'sintered-core'],
    [
      'a small hole in masonry',
      { material: 'concrete', hole: { diameterMm: 12 } },
      'sintered-core',
    ],
    [
      'a wide hole in masonry',
      { material: 'concrete', hole: { diameterMm: 102 } },
      'segmented-core',
    ],
    ['more than a cup saw reaches', { hole: { diameterMm: 140 } }, 'segmented-core'],
  ])('for %s', (_, scene, expected) => {
    expect(family(scene)).toBe(expected);
  });

  it('takes an owned bit of the size before assuming one, the usual family first', () => {
    const cup: Bit = { id: 'cup', name: 'Cup', family: 'plated-cup-saw', diameterMm: 22 };
    const tile: Bit = { id: 'tile', name: 'Tile', family: 'brazed-tile-core', diameterMm: 22 };
    const scene = { hole: { diameterMm: 22 }, bits: [tile, cup] };
    expect(bare(scene).finishing).toMatchObject({ owned: true, bit: { id: 'cup' } });
    expect(bare({ ...scene, bits: [tile] }).finishing.bit.id).toBe('tile');
    expect(bare({ ...scene, bits: [{ ...cup, diameterMm: 24 }] }).finishing.owned).toBe(false);
    expect(bare({ ...scene, bits: [cup, tile] }).finishing.bit.id).toBe('cup');
  });

  it('knows what a family is no use for', () => {
    expect(suits('carbide-spear', MATERIALS['glazed-wall-tile'])).toBe(true);
    expect(suits('carbide-spear', MATERIALS['porcelain-tile'])).toBe(false);
    expect(suits('segmented-core', MATERIALS['float-glass'])).toBe(false);
    expect(suits('plated-tube', MATERIALS.concrete)).toBe(false);
    expect(suits('dry-tile-core', MATERIALS['porcelain-tile'])).toBe(true);
    expect(suits('dry-segmented-core', MATERIALS['float-glass'])).toBe(false);
    expect(suits('masonry-bit', MATERIALS['reinforced-concrete'])).toBe(false);
  });
});

describe('machine, backing, water and hold', () => {
  it('takes the owned machine that comes nearest to the speed, never a press to a wall', () => {
    const press: Machine = { id: 'press', name: 'Press', kind: 'bench-drill-press' };
    const rotary: Machine = { id: 'rotary', name: 'Rotary', kind: 'rotary-tool' };
    expect(bare({ hole: { diameterMm: 25 }, machines: [rotary, press] }).machine.id).toBe('press');
    expect(
      bare({ material: 'basalt', hole: { diameterMm: 1 }, machines: [press, rotary] }).machine.id,
    ).toBe('rotary');
    const wall = bare({
      material: 'concrete',
      piece: { form: 'wall' },
      hole: { diameterMm: 60 },
      machines: [press],
    });
    expect(wall.machine.kind).toBe('hand-core-drill');
    expect(wall.machineOwned).toBe(false);
  });

  it.each<[string, Scene, string, string]>([
    ['a small pane', {}, 'dense-foam-board', 'still-bath'],
    [
      'a pane too big for a tray',
      { piece: { outline: { kind: 'rectangle', widthMm: 900, heightMm: 400 } } },
      'dense-foam-board',
      'pool',
    ],
    ['a built tank', { piece: { assembled: true } }, 'nothing', 'pool'],
    ['the side of a pot', { material: 'stoneware', piece: { form: 'vessel' } }, 'sponge', 'drip'],
    [
      'the base of a pot',
      { material: 'stoneware', piece: { form: 'vessel' }, hole: { face: 'base' } },
      'sponge',
      'pool',
    ],
    ['a pebble', { material: 'basalt', piece: { form: 'bead' } }, 'softwood', 'still-bath'],
    [
      'a wall',
      { material: 'concrete', piece: { form: 'wall' }, hole: { diameterMm: 82 } },
      'nothing',
      'spindle',
    ],
  ])('for %s', (_, scene, support, water) => {
    const setup = bare(scene);
    expect([setup.support.id, setup.coolant.id]).toEqual([support, water]);
    expect(setup.assumed).toEqual(
      expect.arrayContaining([
        'bit',
        'machine',
        'support',
        'water',
        'hold',
        'start',
        'pace',
        'sides',
      ]),
    );
  });

  it('seats in a press, starts in a guide by hand, tilts free hand', () => {
    const start = (kind: Machine['kind']) => bare({ machines: [{ id: 'm', name: 'M', kind }] });
    expect([start('bench-drill-press').hold, start('bench-drill-press').start]).toEqual([
      'press',
      'seat',
    ]);
    expect([start('cordless-drill').hold, start('cordless-drill').start]).toEqual([
      'guided',
      'guide',
    ]);
    expect([start('flex-shaft').hold, start('flex-shaft').start]).toEqual(['freehand', 'tilt']);
  });
});

it('moves its own pace inside the working window and says so, and leaves a person’s alone', () => {
  const mist = { piece: { material: 'fused-glass' }, setup: { water: { kind: 'mist' } } } as const;
  const textOf = (parts: JobParts): string => {
    const outcome = makePlan(caseWith(parts));
    return outcome.kind === 'planned' ? (outcome.plan.reasons['feedForceN']?.text ?? '') : '';
  };
  expect(textOf(mist)).toContain(
    'Moved inside the working window: as usual the rim would overheat.',
  );
  const chosen = { ...mist, setup: { ...mist.setup, pace: 'steady' as const } };
  expect(textOf(chosen)).not.toContain('Moved');
});

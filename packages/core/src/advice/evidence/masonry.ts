import type { Bit } from '../../documents/kit';
import { GENERAL, setUp, type EvidenceRow } from './evidenceRow';

const wall = (material: string, thicknessMm: number) =>
  ({
    form: 'wall',
    material,
    thicknessMm,
    outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2000 },
  }) as const;

const thinCup = setUp({
  piece: wall('concrete', 150),
  bit: { family: 'plated-cup-saw', diameterMm: 62, usableDepthMm: 60 },
  machine: 'hand-core-drill',
  setup: {
    hold: 'guided',
    start: 'guide',
    support: { kind: 'nothing' },
    water: { kind: 'running-tap' },
  },
});
const onStand = setUp({
  piece: wall('concrete', 180),
  bit: { family: 'segmented-core', diameterMm: 100 },
  machine: 'stand-core-drill',
  setup: {
    hold: 'rig',
    start: 'guide',
    support: { kind: 'nothing' },
    water: { kind: 'spindle' },
    standFixing: 'anchor',
  },
});
const brickLeaf = (family: Bit['family'], extraction: boolean) =>
  setUp({
    piece: wall('clay-brick', 100),
    bit: { family, diameterMm: 112 },
    machine: 'hand-core-drill',
    setup: {
      hold: 'guided',
      start: 'pilot',
      support: { kind: 'nothing' },
      water: { kind: 'none', extraction },
    },
  });
const rubble = setUp({
  piece: wall('granite', 500),
  bit: { family: 'segmented-core', diameterMm: 50 },
  machine: 'hand-core-drill',
  setup: {
    hold: 'guided',
    start: 'guide',
    support: { kind: 'nothing' },
    water: { kind: 'spindle' },
    feedAid: 'strap',
  },
});

export const MASONRY: readonly EvidenceRow[] = [
  {
    id: 'concrete-150-cup-62-time',
    job: 'Concrete 150 mm, thin wet cup 62 broken out in passes, hand-held',
    figure: 'time altogether',
    band: [8, 30],
    source: GENERAL,
    drillCase: thinCup,
  },
  {
    id: 'concrete-150-cup-62-force',
    job: 'The same, unaided',
    figure: 'feed force',
    band: [60, 250],
    source: GENERAL,
    drillCase: thinCup,
  },
  {
    id: 'concrete-180-segmented-100-time',
    job: 'Concrete 180 mm, segmented wet core 100, stand',
    figure: 'drilling time',
    band: [3, 14],
    source: GENERAL,
    drillCase: onStand,
  },
  {
    id: 'brick-100-dry-112-time',
    job: 'Brick leaf 100 mm, dry core 112, hand-held, slow gear',
    figure: 'drilling time',
    band: [2, 9],
    source: GENERAL,
    drillCase: brickLeaf('segmented-core', false),
  },
  {
    id: 'brick-100-dry-segmented-112-time',
    job: 'The same with a core made for dry, dust drawn off',
    figure: 'drilling time',
    band: [2, 9],
    source: GENERAL,
    drillCase: brickLeaf('dry-segmented-core', true),
  },
  {
    id: 'rubble-500-wet-50-time',
    job: 'Rubble wall 500 mm with granite, wet core 50, strap feed',
    figure: 'time altogether',
    band: [60, 300],
    source: GENERAL,
    drillCase: rubble,
  },
  {
    id: 'rubble-500-wet-50-force',
    job: 'The same',
    figure: 'feed force',
    band: [200, 500],
    source: GENERAL,
    drillCase: rubble,
  },
  {
    id: 'thin-cup-life-concrete',
    job: 'Thin wet cup 62 in concrete',
    figure: 'life of the bit, depth',
    band: [600, 3000],
    source: GENERAL,
    drillCase: thinCup,
  },
  {
    id: 'segmented-life-concrete',
    job: 'Segmented core 100 in concrete',
    figure: 'life of the bit, depth',
    band: [6000, 40_000],
    source: GENERAL,
    drillCase: onStand,
  },
  {
    id: 'push-five-minutes',
    job: 'Standing, both hands',
    figure: 'push that lasts five minutes',
    band: [60, 180],
    source: GENERAL,
  },
];

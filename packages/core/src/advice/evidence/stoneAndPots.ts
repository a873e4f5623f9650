import type { CoolantId } from '../../data/coolants';
import type { Bit } from '../../documents/kit';
import { GENERAL, setUp, type EvidenceRow } from './evidenceRow';

const pot = (material: string, thicknessMm: number, diameterMm: number) =>
  setUp({
    piece: {
      form: 'vessel',
      material,
      thicknessMm,
      outline: { kind: 'cylinder', outerDiameterMm: 220, heightMm: 200 },
    },
    bit: { family: 'plated-tube', diameterMm },
    machine: 'cordless-drill',
    setup: {
      hold: 'guided',
      start: 'tilt',
      support: { kind: 'wet-sand' },
      water: { kind: 'puddle' },
    },
  });

const GRANITE_TOP = {
  form: 'slab',
  material: 'granite',
  thicknessMm: 25,
  outline: { kind: 'rectangle', widthMm: 1200, heightMm: 600 },
} as const;
const granite = (bit: Omit<Bit, 'id' | 'name'>) =>
  setUp({
    piece: GRANITE_TOP,
    bit,
    machine: 'cordless-drill',
    setup: {
      hold: 'guided',
      start: 'guide',
      support: { kind: 'plywood' },
      water: { kind: 'pool' },
    },
  });
const byGrinder = (family: Bit['family']) =>
  setUp({
    piece: GRANITE_TOP,
    bit: { family, diameterMm: 35 },
    machine: 'angle-grinder',
    setup: {
      hold: 'freehand',
      start: 'tilt',
      support: { kind: 'plywood', clamps: [], edgesHeld: 'two' },
      water: { kind: 'bottle' },
    },
  });
const graniteByGrinder = byGrinder('brazed-tile-core');
const stone = (
  material: string,
  thicknessMm: number,
  sizeMm: number,
  bit: Omit<Bit, 'id' | 'name'>,
  before: readonly Omit<Bit, 'id' | 'name'>[] = [],
) =>
  setUp({
    piece: {
      form: 'block',
      material,
      thicknessMm,
      outline: { kind: 'circle', diameterMm: sizeMm },
    },
    bit,
    before,
    machine: 'rotary-tool',
    setup: {
      hold: 'freehand',
      start: 'tilt',
      support: { kind: 'rubber-mat' },
      water: { kind: 'still-bath' },
    },
  });

/** A porcelain tile by a fast drill in the hand. */
const tile = (family: Bit['family'], water: CoolantId) =>
  setUp({
    piece: {
      form: 'sheet',
      material: 'porcelain-tile',
      thicknessMm: 9,
      outline: { kind: 'rectangle', widthMm: 600, heightMm: 600 },
    },
    bit: { family, diameterMm: 8 },
    machine: 'corded-drill',
    setup: {
      hold: 'freehand',
      start: 'tilt',
      support: { kind: 'plywood' },
      water: { kind: water },
    },
  });

export const STONE_AND_POTS: readonly EvidenceRow[] = [
  {
    id: 'stoneware-7-tube-12-time',
    job: 'Stoneware pot 7 mm, tube 12',
    figure: 'drilling time',
    band: [0.6, 3],
    source: GENERAL,
    drillCase: pot('stoneware', 7, 12),
  },
  {
    id: 'terracotta-10-tube-12-time',
    job: 'Terracotta 10 mm, tube 12',
    figure: 'drilling time',
    band: [0.3, 2.5],
    source: GENERAL,
    drillCase: pot('terracotta', 10, 12),
  },
  {
    id: 'tile-9-brazed-8-time',
    job: 'Porcelain tile 9 mm, brazed core 8, fast drill',
    figure: 'drilling time',
    band: [0.3, 3],
    source: GENERAL,
    drillCase: tile('brazed-tile-core', 'bottle'),
  },
  {
    id: 'granite-25-brazed-35-time',
    job: 'Granite 25 mm, brazed core 35, grinder with water',
    figure: 'drilling time',
    band: [0.5, 3],
    source: GENERAL,
    drillCase: graniteByGrinder,
  },
  {
    id: 'granite-25-grinder-odds',
    job: 'The same, clamped and off the edge',
    figure: 'odds of a crack',
    band: [0, 1.5],
    source: GENERAL,
    drillCase: graniteByGrinder,
  },
  {
    id: 'granite-25-sintered-35-time',
    job: 'Granite 25 mm, sintered core 35, hand drill, dam of putty',
    figure: 'time altogether',
    band: [2, 10],
    source: GENERAL,
    drillCase: granite({ family: 'sintered-core', diameterMm: 35 }),
  },
  {
    id: 'granite-dam-changes',
    job: 'One hole in a 25 mm slab within a dam of putty',
    figure: 'water changes',
    band: [0, 4],
    source: GENERAL,
    drillCase: granite({ family: 'sintered-core', diameterMm: 35 }),
  },
  {
    id: 'basalt-9-point-1.5-time',
    job: 'Basalt pebble 9 mm, plated point 1.5, rotary tool',
    figure: 'drilling time',
    band: [0.6, 3],
    source: GENERAL,
    drillCase: stone('basalt', 9, 40, { family: 'plated-point', diameterMm: 1.5 }),
  },
  {
    id: 'basalt-9-steps-6-time',
    job: 'The same to 6 mm in steps',
    figure: 'time altogether',
    band: [3, 10],
    source: GENERAL,
    drillCase: stone('basalt', 9, 40, { family: 'sintered-rod', diameterMm: 6 }, [
      { family: 'plated-point', diameterMm: 1.5 },
      { family: 'plated-point', diameterMm: 3 },
      { family: 'sintered-rod', diameterMm: 4 },
    ]),
  },
  {
    id: 'granite-25-grinder-core-35-time',
    job: 'Granite 25 mm, grinder core 35 on its own thread, with water',
    figure: 'drilling time',
    band: [0.5, 3],
    source: GENERAL,
    drillCase: byGrinder('grinder-core'),
  },
  {
    id: 'tile-9-wax-core-8-time',
    job: 'Porcelain tile 9 mm, wax-filled core 8, fast drill, dry',
    figure: 'drilling time',
    band: [0.3, 3],
    source: GENERAL,
    drillCase: tile('dry-tile-core', 'none'),
  },
  {
    id: 'agate-15-core-4-time',
    job: 'Agate 15 mm, sintered core 4',
    figure: 'drilling time',
    band: [6, 45],
    source: GENERAL,
    drillCase: stone('quartzite-agate', 15, 50, { family: 'sintered-core', diameterMm: 4 }),
  },
  {
    id: 'shell-3-tube-4-time',
    job: 'Clam shell 3 mm, tube 4',
    figure: 'drilling time',
    band: [0.1, 1.5],
    source: GENERAL,
    misses:
      'The band is of shells of 2 to 4 mm and tubes of 3 to 6 together; one shell and one tube spread less.',
    drillCase: stone('shell', 3, 60, { family: 'plated-tube', diameterMm: 4 }),
  },
  {
    id: 'tube-life-stoneware',
    job: 'Plated tube 12 in a stoneware pot of 7 mm',
    figure: 'life of the bit, holes',
    band: [8, 60],
    source: GENERAL,
    drillCase: pot('stoneware', 7, 12),
  },
  {
    id: 'sintered-life-granite',
    job: 'Sintered core 35 in granite',
    figure: 'life of the bit, depth',
    band: [3000, 40_000],
    source: GENERAL,
    drillCase: granite({ family: 'sintered-core', diameterMm: 35 }),
  },
];

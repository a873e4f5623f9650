import type { Bit } from '../../documents/kit';
import type { Piece } from '../../documents/piece';
import type { Setup } from '../../documents/setup';
import type { SupportId } from '../../data/supports';
import { GENERAL, setUp, type EvidenceRow } from './evidenceRow';

const pane = (thicknessMm: number, more: Partial<Piece> = {}) =>
  ({
    form: 'sheet',
    material: 'float-glass',
    thicknessMm,
    outline: { kind: 'rectangle', widthMm: 600, heightMm: 400 },
    glassTreatment: 'annealed',
    ...more,
  }) as const;

const CUP_40: Omit<Bit, 'id' | 'name'> = { family: 'plated-cup-saw', diameterMm: 40 };
const GUIDED = {
  hold: 'guided',
  start: 'guide',
  support: { kind: 'nothing' },
  water: { kind: 'pool' },
} as const satisfies Setup;

/** Through the pane of something that stands already, by hand in a held guide, nothing behind. */
const built = (thicknessMm: number, bit: Partial<Bit> = {}) =>
  setUp({
    piece: pane(thicknessMm, { assembled: true }),
    bit: { ...CUP_40, ...bit },
    machine: 'cordless-drill',
    setup: GUIDED,
  });
const loose = (thicknessMm: number) =>
  setUp({
    piece: pane(thicknessMm),
    bit: CUP_40,
    machine: 'bench-drill-press',
    setup: {
      hold: 'press',
      start: 'seat',
      support: { kind: 'dense-foam-board' },
      water: { kind: 'pool' },
    },
  });
const exit = (kind: SupportId, how: Pick<Setup, 'pace' | 'exit'>) =>
  setUp({
    piece: pane(6),
    bit: CUP_40,
    machine: 'bench-drill-press',
    setup: {
      hold: 'press',
      start: 'seat',
      support: { kind },
      water: { kind: 'still-bath' },
      ...how,
    },
  });

export const PANES: readonly EvidenceRow[] = [
  {
    id: 'float-6-cup-40-time',
    job: 'Float glass 6 mm, plated cup saw 40, held in a guide',
    figure: 'drilling time',
    band: [0.7, 3.5],
    source: GENERAL,
    drillCase: built(6),
  },
  {
    id: 'float-12-cup-40-time',
    job: 'Float glass 12 mm, plated cup saw 40, held in a guide',
    figure: 'drilling time',
    band: [1.5, 5],
    source: GENERAL,
    drillCase: built(12),
  },
  {
    id: 'bottle-tube-10-time',
    job: 'Side of a bottle, 3.5 mm, plated tube 10, hand drill',
    figure: 'drilling time',
    band: [1.2, 5],
    source: GENERAL,
    drillCase: setUp({
      piece: {
        form: 'vessel',
        material: 'container-glass',
        thicknessMm: 3.5,
        glassTreatment: 'annealed',
        outline: { kind: 'cylinder', outerDiameterMm: 80, heightMm: 200 },
      },
      bit: { family: 'plated-tube', diameterMm: 10 },
      machine: 'cordless-drill',
      setup: {
        hold: 'freehand',
        start: 'tilt',
        support: { kind: 'sponge' },
        water: { kind: 'puddle' },
      },
    }),
  },
  {
    id: 'fused-6-tube-6-time',
    job: 'Fused glass 6 mm, tube 6, small press, in a tray',
    figure: 'drilling time',
    band: [0.5, 3],
    source: GENERAL,
    drillCase: setUp({
      piece: {
        form: 'sheet',
        material: 'fused-glass',
        thicknessMm: 6,
        glassTreatment: 'annealed',
        outline: { kind: 'rectangle', widthMm: 80, heightMm: 60 },
      },
      bit: { family: 'plated-tube', diameterMm: 6 },
      machine: 'small-drill-press',
      setup: {
        hold: 'press',
        start: 'seat',
        support: { kind: 'rubber-mat' },
        water: { kind: 'still-bath' },
      },
    }),
  },
  {
    id: 'float-8-loose-odds',
    job: 'Loose pane of 8 mm on a flat soft board, press',
    figure: 'odds of a crack',
    band: [0.05, 0.8],
    source: GENERAL,
    drillCase: loose(8),
  },
  {
    id: 'float-3-built-odds',
    job: 'Built pane of 3 mm, held guide',
    figure: 'odds of a crack',
    band: [10, 30],
    source: GENERAL,
    drillCase: built(3),
  },
  {
    id: 'float-4-built-odds',
    job: 'Built pane of 4 mm, held guide',
    figure: 'odds of a crack',
    band: [3, 15],
    source: GENERAL,
    drillCase: built(4),
  },
  {
    id: 'float-6-built-odds',
    job: 'Built pane of 6 mm, held guide, saw of 4 holes',
    figure: 'odds of a crack',
    band: [0.4, 3],
    source: GENERAL,
    drillCase: built(6, { holesCut: 4, depthCutMm: 24 }),
  },
  {
    id: 'float-6-built-old-saw-odds',
    job: 'The same with a saw of 20 holes',
    figure: 'odds of a crack',
    band: [5, 18],
    source: GENERAL,
    drillCase: built(6, { holesCut: 20, depthCutMm: 120 }),
  },
  {
    id: 'float-12-built-odds',
    job: 'Built pane of 12 mm, held guide',
    figure: 'odds of a crack',
    band: [0.1, 1.2],
    source: GENERAL,
    drillCase: built(12),
  },
  {
    id: 'cup-life-glass',
    job: 'Plated cup saw 40 in float glass of 6 mm',
    figure: 'life of the bit, depth',
    band: [40, 140],
    source: GENERAL,
    drillCase: built(6),
  },
  {
    id: 'exit-soft-held',
    job: '6 mm glass on a soft board, pressed on to the end',
    figure: 'width of the exit chip',
    band: [0.8, 4],
    source: GENERAL,
    drillCase: exit('foam', { pace: 'brisk', exit: 'hold' }),
  },
  {
    id: 'exit-hard-eased',
    job: 'The same on hard flat glass, eased off',
    figure: 'width of the exit chip',
    band: [0, 0.8],
    source: GENERAL,
    drillCase: exit('sacrificial-hard', { pace: 'gentle' }),
  },
  {
    id: 'tray-glass-changes',
    job: 'One hole in 6 mm glass lying in a tray',
    figure: 'water changes',
    band: [0, 1],
    source: GENERAL,
    drillCase: exit('plywood', { pace: 'steady' }),
  },
];

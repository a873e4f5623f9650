import { GLASS_TREATMENTS, PIECE_FORMS } from '../../data/choices';
import type { HazardCheck } from '../../documents/hazardCheck';
import type { Piece } from '../../documents/piece';
import { caseWith, type JobParts } from '../jobFixtures';
import { makePlan } from '../../words/plan/makePlan';
import { MATERIAL_IDS, MATERIALS } from '../../data/materials/materials';
import { BIT_FAMILY_IDS } from '../../data/bits/bitFamilies';
import { INCH_POUND } from '../../data/unitSystem';
import type { Gate } from '../../documents/gate';
import { HAZARDS, type HazardCode } from './judgeHazards';

function gates(parts: JobParts, checks: HazardCheck[] = []): { open: Gate[]; settled: Gate[] } {
  const setup = { hold: 'press', ...parts.setup } as const;
  const outcome = makePlan(caseWith({ ...parts, setup, hole: { ...parts.hole, checks } }));
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return { open: [...outcome.plan.gates], settled: [...outcome.plan.settledGates] };
}

const gate = (code: HazardCode, parts: JobParts): Gate | undefined =>
  gates(parts).open.find((one) => one.code === code);
const level = (code: HazardCode, parts: JobParts): string => gate(code, parts)?.level ?? 'none';

const machine = (kind: string, more: object = {}) =>
  ({ id: 'free', name: 'M', kind, ...more }) as NonNullable<JobParts['machine']>;
const wall: Partial<Piece> = {
  form: 'wall',
  material: 'clay-brick',
  thicknessMm: 215,
  glassTreatment: undefined as never,
  outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2400 },
};
const core = { id: 'core', name: 'Core', family: 'segmented-core', diameterMm: 82 } as const;
const cored: JobParts = {
  piece: wall,
  hole: { diameterMm: 82, xMm: 1000, yMm: 800 },
  bits: [core],
};

it('knows every treatment on flat glass', () => {
  const stops = Object.fromEntries(
    GLASS_TREATMENTS.map((glassTreatment) => [
      glassTreatment,
      gates({ piece: { glassTreatment } })
        .open.filter((one) => one.code.includes('glass') || one.code === 'unknown-treatment')
        .filter((one) => one.level !== 'note')
        .map((one) => one.code),
    ]),
  );
  expect(stops).toEqual({
    annealed: [],
    tempered: ['strengthened-glass'],
    'heat-strengthened': ['strengthened-glass'],
    'chemically-strengthened': ['strengthened-glass'],
    laminated: ['laminated-glass'],
    wired: ['wired-or-sealed-glass'],
    'sealed-unit': ['wired-or-sealed-glass'],
    'toughened-tableware': ['strengthened-glass'],
    'glass-ceramic': ['strengthened-glass'],
    unknown: ['unknown-treatment'],
  });
});

it('sends hollow and hand-made glass its own way', () => {
  const of = (material: string, form: Piece['form']) =>
    level('hollow-glass', { piece: { material, form, glassTreatment: 'unknown' } });
  for (const form of PIECE_FORMS.filter((one) => one !== 'sheet' && one !== 'slab')) {
    expect(of('container-glass', form)).toBe('confirm');
    expect(of('borosilicate-glass', form)).toBe('stop');
  }
  expect(of('fused-glass', 'sheet')).toBe('confirm');
  expect(of('float-glass', 'sheet')).toBe('none');
  expect(
    level('unknown-treatment', { piece: { material: 'fused-glass', glassTreatment: 'unknown' } }),
  ).toBe('none');
});

const slate = { material: 'slate', thicknessMm: 10 } as const;
const floor: Partial<Piece> = { ...wall, form: 'floor', material: 'concrete', thicknessMm: 150 };

it.each<[HazardCode, string, JobParts, string]>([
  // a crack, a chip, a mend
  ['built-in-stress', 'none', {}, 'a sound pane'],
  ['built-in-stress', 'none', { piece: { damage: 'none' } }, 'looked at and sound'],
  ['built-in-stress', 'stop', { piece: { damage: 'crack' } }, 'a crack'],
  ['built-in-stress', 'confirm', { piece: { damage: 'edge-chip' } }, 'a chip'],
  ['built-in-stress', 'confirm', { piece: { damage: 'mended' } }, 'a mend'],
  // mains and water
  ['mains-and-water', 'confirm', { machine: machine('small-drill-press') }, 'mains in a bath'],
  ['mains-and-water', 'confirm', { machine: machine('stand-core-drill') }, 'a protective plug'],
  ['mains-and-water', 'none', { machine: machine('cordless-drill') }, 'a battery'],
  [
    'mains-and-water',
    'none',
    { machine: machine('flex-shaft', { power: 'low-voltage' }) },
    'low voltage',
  ],
  ['mains-and-water', 'none', { piece: slate, setup: { water: { kind: 'none' } } }, 'dry'],
  // eyes, always
  ['eyes', 'confirm', {}, 'a pane'],
  ['eyes', 'confirm', cored, 'a wall'],
  // dust
  ['dust', 'none', { piece: slate }, 'slate under water'],
  ['dust', 'confirm', { piece: slate, setup: { water: { kind: 'bottle' } } }, 'slate, bottle'],
  ['dust', 'confirm', { piece: slate, setup: { water: { kind: 'none' } } }, 'slate, dry'],
  [
    'dust',
    'none',
    { piece: { material: 'marble' }, setup: { water: { kind: 'bottle' } } },
    'marble',
  ],
  [
    'dust',
    'confirm',
    { piece: { material: 'shell' }, setup: { water: { kind: 'mist' } } },
    'shell',
  ],
  [
    'dust',
    'stop',
    { piece: { material: 'engineered-quartz' }, setup: { water: { kind: 'none' } } },
    'engineered quartz, dry',
  ],
  ['dust', 'none', { piece: { material: 'engineered-quartz' } }, 'engineered quartz, wet'],
  ['fibrous-stone', 'confirm', { piece: { material: 'jade' } }, 'jade, wet'],
  [
    'fibrous-stone',
    'stop',
    { piece: { material: 'jade' }, setup: { water: { kind: 'none' } } },
    'jade, dry',
  ],
  ['fibrous-stone', 'none', { piece: slate }, 'slate'],
  ['dry-glass', 'stop', { setup: { water: { kind: 'none' } } }, 'glass, dry'],
  [
    'dry-glass',
    'stop',
    { piece: { material: 'stoneware' }, setup: { water: { kind: 'none' } } },
    'ware, dry',
  ],
  ['dry-glass', 'none', { setup: { water: { kind: 'bottle' } } }, 'glass, bottle'],
  ['dry-glass', 'none', { piece: slate, setup: { water: { kind: 'none' } } }, 'slate, dry'],
  ['slurry', 'note', { ...cored, setup: { water: { kind: 'spindle' } } }, 'wet brick'],
  ['slurry', 'none', { ...cored, setup: { water: { kind: 'none' } } }, 'dry brick'],
  ['slurry', 'none', {}, 'glass'],
  // what is built in
  ['hidden-services', 'stop', cored, 'a wall'],
  ['hidden-services', 'stop', { ...cored, piece: floor }, 'a floor'],
  ['hidden-services', 'none', {}, 'a loose pane'],
  ['post-tension', 'stop', { ...cored, piece: floor }, 'a concrete floor'],
  [
    'post-tension',
    'none',
    { ...cored, piece: { ...floor, material: 'sandstone' } },
    'a stone floor',
  ],
  [
    'post-tension',
    'none',
    { ...cored, piece: { ...wall, material: 'concrete' } },
    'a concrete wall',
  ],
  ['structure', 'confirm', { ...cored, piece: { ...wall, material: 'concrete' } }, 'concrete'],
  ['structure', 'confirm', cored, 'a big hole in brick'],
  [
    'structure',
    'none',
    {
      ...cored,
      hole: { ...cored.hole, diameterMm: 22 },
      bits: [{ ...core, family: 'sintered-core', diameterMm: 22 }],
    },
    'a small one',
  ],
  [
    'asbestos-era',
    'stop',
    { ...cored, piece: { ...wall, material: 'glazed-wall-tile', thicknessMm: 8 } },
    'tile, year unknown',
  ],
  [
    'asbestos-era',
    'stop',
    { ...cored, piece: { ...wall, material: 'mortar', yearMade: 1975 } },
    'plaster of 1975',
  ],
  [
    'asbestos-era',
    'none',
    { ...cored, piece: { ...wall, material: 'mortar', yearMade: 2012 } },
    'plaster of 2012',
  ],
  ['asbestos-era', 'none', { piece: { material: 'glazed-wall-tile' } }, 'a loose tile'],
  ['asbestos-era', 'none', cored, 'plain brick'],
  [
    'lead-glaze',
    'confirm',
    { piece: { material: 'glazed-earthenware', form: 'vessel' } },
    'ware of unknown age',
  ],
  [
    'lead-glaze',
    'none',
    { piece: { material: 'glazed-earthenware', form: 'vessel', yearMade: 2015 } },
    'new ware',
  ],
  ['lead-glaze', 'none', { piece: { material: 'stoneware' } }, 'stoneware'],
  // the machine
  ['hammer', 'stop', { machine: machine('rotary-hammer') }, 'rotary hammer'],
  ['hammer', 'stop', { machine: machine('cordless-drill') }, 'cordless drill'],
  ['hammer', 'none', { machine: machine('bench-drill-press') }, 'press'],
  [
    'kickback',
    'stop',
    {
      ...cored,
      machine: machine('rotary-hammer', { clutchTorqueNm: null }),
      setup: { hold: 'guided' },
    },
    '40 N·m and no clutch',
  ],
  [
    'kickback',
    'confirm',
    { ...cored, machine: machine('rotary-hammer'), setup: { hold: 'guided' } },
    'a slip clutch',
  ],
  [
    'kickback',
    'confirm',
    { machine: machine('corded-drill'), setup: { hold: 'guided' } },
    '20 N·m, two hands',
  ],
  [
    'kickback',
    'none',
    { machine: machine('cordless-drill'), setup: { hold: 'guided' } },
    'a clutch of 6 N·m',
  ],
  [
    'kickback',
    'none',
    { machine: machine('stand-core-drill'), setup: { hold: 'rig' } },
    'on a stand',
  ],
  [
    'kickback',
    'confirm',
    { machine: machine('angle-grinder'), setup: { hold: 'freehand' } },
    'angle grinder',
  ],
  ['vacuum-stand', 'none', { ...cored, setup: { hold: 'rig', standFixing: 'anchor' } }, 'anchored'],
  [
    'vacuum-stand',
    'stop',
    { ...cored, setup: { hold: 'rig', standFixing: 'vacuum' } },
    'vacuum on a wall',
  ],
  [
    'vacuum-stand',
    'confirm',
    { ...cored, piece: floor, setup: { hold: 'rig', standFixing: 'vacuum' } },
    'vacuum on a floor',
  ],
  // what falls
  ['falling-core', 'confirm', { ...cored, piece: floor }, 'through a floor'],
  ['falling-core', 'confirm', cored, 'through a wall'],
  ['falling-core', 'confirm', { piece: { assembled: true } }, 'a built tank'],
  ['falling-core', 'none', {}, 'a loose pane'],
  [
    'falling-core',
    'none',
    { ...cored, piece: floor, hole: { ...cored.hole, depth: { kind: 'blind', depthMm: 60 } } },
    'a blind hole',
  ],
  [
    'two-people',
    'confirm',
    {
      ...cored,
      bits: [{ ...core, diameterMm: 162 }],
      hole: { ...cored.hole, diameterMm: 162 },
      setup: { hold: 'guided' },
    },
    'hard to press',
  ],
  ['two-people', 'none', {}, 'a pane in a press'],
  ['height', 'confirm', { ...cored, hole: { ...cored.hole, yMm: 2000 } }, 'two metres up'],
  ['height', 'none', cored, 'waist height'],
  ['noise', 'none', {}, 'two minutes'],
  [
    'noise',
    'note',
    {
      ...cored,
      piece: { ...wall, material: 'granite', thicknessMm: 400 },
      setup: { pace: 'gentle' },
    },
    'a long core',
  ],
  ['glass-handling', 'note', {}, 'glass'],
  ['glass-handling', 'none', { piece: slate }, 'slate'],
  ['hot-piece', 'note', { setup: { water: { kind: 'bottle' } } }, 'glass, bottle'],
  ['hot-piece', 'none', {}, 'glass in a bath'],
  ['hot-piece', 'none', { piece: slate, setup: { water: { kind: 'bottle' } } }, 'slate, bottle'],
])('%s is %s', (code, wanted, parts) => {
  expect(level(code, parts)).toBe(wanted);
});

const at = '2026-05-02T09:00:00Z';

it('settles only by an answer the gate takes, and never a stop without a way round', () => {
  const unknown: JobParts = { piece: { glassTreatment: 'unknown' } };
  const clear = gates(unknown, [{ hazard: 'unknown-treatment', answer: 'polariser-clear', at }]);
  expect(clear.open.some((one) => one.level === 'stop')).toBe(false);
  expect(clear.settled.find((one) => one.code === 'unknown-treatment')?.settledBy?.at).toBe(at);
  const open = (checks: HazardCheck[], parts: JobParts): string[] =>
    gates(parts, checks)
      .open.filter((one) => one.level === 'stop')
      .map((one) => one.code);
  expect(open([{ hazard: 'unknown-treatment', answer: 'looks fine', at }], unknown)).toEqual([
    'unknown-treatment',
  ]);
  expect(
    open([{ hazard: 'strengthened-glass', answer: 'polariser-clear', at }], {
      piece: { glassTreatment: 'tempered' },
    }),
  ).toEqual(['strengthened-glass']);
});

it('wants a scan in writing', () => {
  const scan = { hazard: 'hidden-services', answer: 'scanned-clear', at };
  expect(gates(cored, [scan]).open.map((one) => one.code)).toContain('hidden-services');
  const written = gates(cored, [{ ...scan, note: 'Multi-scanner, own, 80 mm deep' }]);
  expect(written.open.map((one) => one.code)).not.toContain('hidden-services');
});

it('opens again when what it was answered for has changed', () => {
  const chip = gate('built-in-stress', { piece: { damage: 'edge-chip' } });
  const answered: HazardCheck = {
    hazard: 'built-in-stress',
    answer: 'seen-and-accepted',
    at,
    of: chip?.of ?? '',
  };
  expect(gates({ piece: { damage: 'edge-chip' } }, [answered]).settled).toHaveLength(1);
  const mended = gates({ piece: { damage: 'mended' } }, [answered]);
  expect(mended.open.find((one) => one.code === 'built-in-stress')?.outdated).toEqual(answered);
});

it('has a message for every level it can give, and answers for every confirm', () => {
  for (const material of MATERIAL_IDS) {
    for (const family of BIT_FAMILY_IDS) {
      const found = gates({
        piece: {
          material,
          form: MATERIALS[material].class === 'masonry' ? 'wall' : 'sheet',
          glassTreatment: 'unknown',
        },
        bits: [{ id: 'b', name: 'B', family, diameterMm: 25 }],
      });
      for (const one of found.open) {
        expect(one.message.length).toBeGreaterThan(20);
        if (one.level === 'confirm') expect(one.answers.length).toBeGreaterThan(0);
        if (one.level === 'note') expect(one.answers).toEqual([]);
      }
    }
  }
  expect(Object.entries(HAZARDS).every(([code, hazard]) => hazard.code === code)).toBe(true);
});

it('writes a force in the person’s own unit', () => {
  const parts: JobParts = {
    ...cored,
    bits: [{ ...core, diameterMm: 162 }],
    hole: { ...cored.hole, diameterMm: 162 },
    setup: { hold: 'guided', feedAid: 'lever' },
  };
  const outcome = makePlan(caseWith(parts), INCH_POUND);
  if (outcome.kind !== 'planned') throw new Error('faulty');
  const two = outcome.plan.gates.find((one) => one.code === 'two-people');
  expect(two?.message).toMatch(/pressing with \d+ lbf/);
});

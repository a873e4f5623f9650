import type { Bit, Coupling } from '../../documents/kit';
import type { Operation } from '../../documents/operation';
import { faultsInWords } from '../../words/faults';
import { checkJob } from '../checkJob';
import { jobWith, wallOf, type JobParts } from '../jobFixtures';

const BITS: readonly Bit[] = [
  { id: 'cup', name: 'Cup 62', family: 'plated-cup-saw', diameterMm: 62, usableDepthMm: 50 },
  { id: 'pilot', name: 'Pilot 10', family: 'masonry-bit', diameterMm: 10, usableDepthMm: 100 },
  { id: 'dry', name: 'Dry core 62', family: 'dry-segmented-core', diameterMm: 62 },
];
const SLAB: JobParts = {
  piece: {
    form: 'floor',
    material: 'concrete',
    thicknessMm: 150,
    outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2000 },
  },
  hole: { diameterMm: 62 },
  setup: { bit: 'cup', water: { kind: 'bottle' } },
  bits: BITS,
};
const THREAD = { kind: 'thread-g-half' } as const;
const COUPLINGS: readonly Coupling[] = [
  { id: 'short', name: 'Short', kind: 'extension', into: THREAD, takes: THREAD, lengthMm: 80 },
  {
    id: 'wide',
    name: 'Wide',
    kind: 'extension',
    into: THREAD,
    takes: THREAD,
    lengthMm: 300,
    diameterMm: 70,
  },
];

const faultsOf = (operations: readonly Operation[], parts: JobParts = SLAB): string[] =>
  faultsInWords(checkJob(withCouplings({ ...parts, hole: { ...parts.hole, operations } }))).map(
    ({ pointer, message }) => `${pointer.replace('/pieces/0/holes/0/operations', '')} ${message}`,
  );
const withCouplings = (parts: JobParts) => {
  const job = jobWith(parts);
  return { ...job, kit: { ...job.kit, couplings: COUPLINGS } };
};
const core = (fromMm: number, toMm: number, over: Partial<Operation> = {}): Operation => ({
  id: `core-${fromMm}`,
  does: 'core',
  fromMm,
  toMm,
  ...over,
});
const out = (n: number): Operation => ({ id: `out-${n}`, does: 'break-out' });
/** Four passes that make the hole. */
const SOUND = [
  core(0, 45),
  out(1),
  core(45, 90),
  out(2),
  core(90, 135),
  out(3),
  core(135, 150),
] as const;

it('finds nothing wrong with passes that follow each other', () => {
  expect(faultsOf(SOUND)).toEqual([]);
});

it.each<[string, readonly Operation[], string]>([
  [
    'a gap in depth',
    [SOUND[0], SOUND[1], core(60, 105)],
    '/2/fromMm Operation “core-60” begins at 60 mm, but the hole before it is open to 45 mm only; begin there, or cut what lies between first.',
  ],
  [
    'a hole left unfinished',
    SOUND.slice(0, 6),
    ' From 135 mm to 150 mm the operations open the hole to 0 mm, not to 62 mm; add one that cuts there.',
  ],
  [
    'an overlap',
    [SOUND[0], SOUND[1], core(40, 80), ...SOUND.slice(4)],
    '/2/fromMm Operation “core-40” cuts from 40 mm to 45 mm, where the hole is 62 mm wide already; leave that out.',
  ],
  [
    'a bit wider than the hole so far',
    [{ id: 'p', does: 'pilot', bitId: 'pilot', fromMm: 0, toMm: 60 }, core(20, 60)],
    '/1/bitId Cup 62 of 62 mm does not go down a hole 10 mm wide to begin at 20 mm; begin at 0 mm, or take a narrower bit.',
  ],
  [
    'deeper than the bit reaches',
    [{ id: 'p', does: 'pilot', bitId: 'pilot', fromMm: 0, toMm: 120 }],
    '/0/toMm Operation “p” goes to 120 mm, but Pilot 10 reaches 100 mm; end it there, or take a longer bit.',
  ],
  [
    'deeper than its couplings carry it',
    [...SOUND.slice(0, 6), core(135, 150, { couplingIds: ['short'] })],
    '/6/toMm Operation “core-135” goes to 150 mm, but Cup 62 reaches 130 mm; end it there, or take a longer bit.',
  ],
  [
    'on a coupling wider than the hole',
    [...SOUND.slice(0, 6), core(135, 150, { couplingIds: ['wide'] })],
    '/6/couplingIds Wide is 70 mm wide and does not go into a hole of 62 mm; take a narrower one.',
  ],
  [
    'a core longer than the barrel',
    [core(0, 80)],
    '/0/toMm Operation “core-0” leaves a core 80 mm long, but the barrel of Cup 62 holds 50 mm; break the core out before.',
  ],
  [
    'a core that was never broken out',
    [core(0, 45), core(45, 90)],
    '/1/toMm Operation “core-45” leaves a core 90 mm long, but the barrel of Cup 62 holds 50 mm; break the core out before.',
  ],
  [
    'deeper than the hole',
    [...SOUND.slice(0, 6), core(135, 160)],
    '/6/toMm Operation “core-135” goes to 160 mm, but the hole ends at 150 mm; end it there.',
  ],
  [
    'no depth at all',
    [core(0, 0), ...SOUND.slice(1)],
    '/0/toMm Operation “core-0” goes from 0 mm to 0 mm; it must end deeper than it begins.',
  ],
  [
    'a hammer on diamond',
    [core(0, 45, { hammer: true }), ...SOUND.slice(1)],
    '/0/hammer The hammer is on for Cup 62, a plated cup saw; one blow breaks its rim. Hammer only with a masonry bit.',
  ],
  [
    'a hammer that the machine has not',
    [
      {
        id: 'p',
        does: 'pilot',
        bitId: 'pilot',
        machineId: 'free',
        fromMm: 0,
        toMm: 100,
        hammer: true,
      },
    ],
    '/0/hammer The hammer is on, but Free machine has none; leave it off, or take a hammer drill.',
  ],
  [
    'wet through a dry tool',
    [core(0, 45, { bitId: 'dry', wet: true, water: { kind: 'bottle' } })],
    '/0/water Dry core 62 is made to run dry, but it is to run with “squeeze bottle”; run it dry, or take a wet bit.',
  ],
  [
    'a leaf that is not there',
    [{ id: 'l', does: 'core', leaf: 3 }],
    '/0/leaf There is no leaf 3; seen from that face the piece has 1, counted from 1.',
  ],
  [
    'nothing that cuts',
    [{ id: 'm', does: 'mark' }, out(1)],
    ' None of the 2 operations cuts; add one that does, such as core or bore.',
  ],
  [
    'two of one id',
    [core(0, 45), core(0, 45)],
    '/1/id Two operations are called “core-0”; each needs an id of its own.',
  ],
  [
    'a bit that is not owned',
    [core(0, 45, { bitId: 'gone' })],
    '/0/bitId Bit “gone” is not in the kit, which has cup, pilot, dry.',
  ],
  [
    'a machine and a coupling that are not owned',
    [core(0, 45, { machineId: 'lost', couplingIds: ['none'] })],
    '/0/machineId Machine “lost” is not in the kit, which has free.',
  ],
  [
    'the far face of a blind hole',
    [core(0, 45, { face: 'far' })],
    '/0/face Operation “core-0” begins at the far face, but the hole ends 40 mm deep in 150 mm; use the near face.',
  ],
])('says what is wrong, with both values: %s', (what, operations, sentence) => {
  const blind = { ...SLAB, hole: { ...SLAB.hole, depth: { kind: 'blind', depthMm: 40 } as const } };
  expect(faultsOf(operations, what.includes('blind') ? blind : SLAB)).toContain(sentence);
});

it('lets nothing dry and of diamond into glass', () => {
  const pane = {
    bits: [{ id: 'cup25', name: 'Cup 25', family: 'plated-cup-saw', diameterMm: 25 }],
  } as const;
  expect(faultsOf([{ id: 'c', does: 'core', wet: false }], pane)).toEqual([
    '/0/wet Cup 25 is to run dry in float glass; glass cracks from a dry diamond rim. Run it wet.',
  ]);
  expect(faultsOf([{ id: 'c', does: 'core', wet: true }], pane)).toEqual([]);
});

it('takes cuts from both faces that meet, and refuses them where they miss', () => {
  const far = (toMm: number): readonly Operation[] => [
    core(0, 45),
    { id: 'round', does: 'go-round' },
    { id: 'f1', does: 'core', face: 'far', fromMm: 0, toMm: 50 },
    { id: 'o', does: 'break-out', face: 'far' },
    { id: 'f2', does: 'core', face: 'far', fromMm: 50, toMm: 95 },
    { id: 'o2', does: 'break-out', face: 'far' },
    { id: 'f3', does: 'core', face: 'far', fromMm: 95, toMm },
  ];
  expect(faultsOf(far(105))).toEqual([]);
  expect(faultsOf(far(100))).toEqual([
    ' From 45 mm to 50 mm the operations open the hole to 0 mm, not to 62 mm; add one that cuts there.',
  ]);
  expect(faultsOf(far(110))).toEqual([
    '/6/fromMm Operation “f3” cuts from 105 mm to 110 mm, where the hole is 62 mm wide already; leave that out.',
  ]);
});

it('lets go of a core at a cavity: a barrel holds one leaf, not the air behind it', () => {
  const wall: JobParts = {
    ...SLAB,
    piece: wallOf(['clay-brick', 45], ['cavity', 70], ['lightweight-block', 45]),
  };
  const leaves = [core(0, 45), out(1), core(115, 160)];
  expect(faultsOf(leaves, wall)).toEqual([]);
  expect(faultsOf([core(0, 160)], wall)).toEqual([]);
  const thick = { ...wall, piece: wallOf(['clay-brick', 60], ['cavity', 70], ['mortar', 45]) };
  expect(faultsOf([core(0, 175)], thick)).toEqual([
    '/0/toMm Operation “core-0” leaves a core 60 mm long, but the barrel of Cup 62 holds 50 mm; break the core out before.',
  ]);
});

it('says nothing of what operations do to each other while a name is missing', () => {
  expect(faultsOf([core(60, 45, { bitId: 'gone' })])).toEqual([
    '/0/bitId Bit “gone” is not in the kit, which has cup, pilot, dry.',
  ]);
});

import type { Bit, Kit, Machine } from '../../documents/kit';
import type { JobFile } from '../../documents/jobFile';
import { caseIn, jobWith } from '../../setup/jobFixtures';
import { makePlan } from '../../words/plan/makePlan';
import { rankingInWords } from '../../words/advice/rankingInWords';
import { rankSetups, type Ranking } from './rankSetups';

const CUP: Bit = {
  id: 'cup',
  name: 'Cup saw 25',
  family: 'plated-cup-saw',
  diameterMm: 25,
  usableDepthMm: 25,
  shank: { kind: 'round', sizeMm: 10 },
};
const DRILL: Machine = { id: 'drill', name: 'Cordless', kind: 'cordless-drill' };
const PRESS: Machine = { id: 'press', name: 'Press', kind: 'bench-drill-press' };

const fileWith = (kit: Kit): JobFile => {
  const file = jobWith();
  return {
    ...file,
    kit,
    pieces: file.pieces.map((piece) => ({
      ...piece,
      holes: piece.holes.map((hole) => ({ ...hole, setup: {} })),
    })),
  };
};
const rank = (kit: Kit): Ranking => {
  const found = rankSetups(caseIn(fileWith(kit)));
  if (found.kind === 'faulty') throw new Error(JSON.stringify(found.faults));
  return found.ranking;
};
const described = (kit: Kit) => {
  const found = rankingInWords(rankSetups(caseIn(fileWith(kit))));
  if (found.kind === 'faulty') throw new Error(JSON.stringify(found.faults));
  return found.ranking;
};
const codes = (kit: Kit): string[] =>
  rank(kit).impossible.flatMap(({ obstacles }) => obstacles.map(({ code }) => code));
const key = ({ bit, machine, water }: Ranking['ranked'][number]): string =>
  `${bit.id}/${machine.id}/${water}`;

it('ranks by expected cost, each as the plan it becomes', () => {
  const kit = { bits: [CUP], machines: [DRILL, PRESS] };
  const { ranked, impossible } = rank(kit);
  expect(impossible).toEqual([]);
  const costs = ranked.map(({ outcome }) => outcome.cost.totalMoney);
  expect(costs).toEqual([...costs].sort((a, b) => a - b));
  expect(new Set(ranked.map(({ machine }) => machine.id))).toEqual(new Set(['drill', 'press']));
  for (const { setup, outcome } of ranked) {
    const file = fileWith(kit);
    const chosen = {
      ...file,
      pieces: file.pieces.map((piece) => ({
        ...piece,
        holes: piece.holes.map((hole) => ({ ...hole, setup })),
      })),
    };
    const planned = makePlan(caseIn(chosen));
    if (planned.kind === 'faulty') throw new Error('faulty');
    expect(planned.plan.drillTimeS?.p50).toBeCloseTo(outcome.timeS?.p50 ?? NaN, 9);
    expect(planned.plan.crackProbability).toBeCloseTo(outcome.crackProbability, 12);
  }
});

it('does not depend on the order of the kit', () => {
  const bits = [CUP, { ...CUP, id: 'cup2', name: 'Other', sharpness: 0.6 }, { ...CUP, id: 'a' }];
  const machines = [DRILL, PRESS, { ...DRILL, id: 'b' }];
  const there = rank({ bits, machines });
  const back = rank({ bits: [...bits].reverse(), machines: [...machines].reverse() });
  expect(back.ranked.map(key)).toEqual(there.ranked.map(key));
  expect(back.impossible).toEqual(there.impossible);
});

it.each<[string, Kit]>([
  ['bit-spent', { bits: [{ ...CUP, state: 'bald' }], machines: [DRILL] }],
  ['does-not-fit', { bits: [{ ...CUP, shank: { kind: 'thread-m14' } }], machines: [DRILL] }],
  [
    'does-not-fit',
    { bits: [{ ...CUP, shank: { kind: 'round', sizeMm: 13.5 } }], machines: [DRILL] },
  ],
  [
    'bit-too-short',
    { bits: [{ ...CUP, usableDepthMm: 4, family: 'plated-cup-saw' }], machines: [DRILL] },
  ],
  [
    'not-slow-enough',
    {
      bits: [CUP],
      machines: [
        { ...DRILL, kind: 'rotary-tool', holders: [{ kind: 'round', leastMm: 1, mostMm: 12 }] },
      ],
    },
  ],
  ['press-travel', { bits: [CUP], machines: [{ ...PRESS, travelMm: 8 }] }],
  ['press-room', { bits: [CUP], machines: [{ ...PRESS, chuckToTableMm: 60 }] }],
  ['press-throat', { bits: [CUP], machines: [{ ...PRESS, throatMm: 100 }] }],
  ['clutch-missing', { bits: [CUP], machines: [{ ...DRILL, clutchTorqueNm: null }] }],
  ['twists-hands', { bits: [CUP], machines: [{ ...DRILL, clutchTorqueNm: 40 }] }],
])('says why it cannot: %s', (code, kit) => {
  expect(codes(kit)).toContain(code);
  expect(rank(kit).ranked).toEqual([]);
});

it('joins what does not fit with an adapter that is owned', () => {
  const bits: Bit[] = [{ ...CUP, shank: { kind: 'thread-m14' } }];
  const adapter = {
    id: 'adapter',
    name: 'Hex to M14',
    kind: 'adapter' as const,
    into: { kind: 'hex' as const, sizeMm: 8 },
    takes: { kind: 'thread-m14' as const },
  };
  const { ranked } = rank({ bits, machines: [DRILL], couplings: [adapter] });
  expect(ranked[0]?.couplings?.map((one) => one.id)).toEqual(['adapter']);
});

it('keeps spindle water from slots, and from mains tools not made for it', () => {
  const waters = (bit: Partial<Bit>, machine: Partial<Machine>) =>
    rank({ bits: [{ ...CUP, ...bit }], machines: [{ ...DRILL, ...machine }] }).ranked.map(
      ({ water }) => water,
    );
  expect(waters({}, { spindleWater: true })).toContain('spindle');
  expect(waters({ slotted: true }, { spindleWater: true })).not.toContain('spindle');
  expect(waters({}, {})).not.toContain('spindle');
  expect(waters({}, { power: 'mains' })).not.toContain('running-tap');
  expect(waters({}, { power: 'mains', waterRated: true })).toContain('running-tap');
});

it('says what to get where the kit is empty, and which sizes come nearest', () => {
  const { ranked, toGet } = described({});
  expect(ranked).toEqual([]);
  expect(toGet.bit[0]).toBe('Plated cup saw, 25 mm outside');
  expect(toGet.machine[0]).toMatch(/rpm to .* rpm/);
  const near = described({
    bits: [
      { ...CUP, diameterMm: 20 },
      { ...CUP, id: 'x', diameterMm: 40 },
    ],
  });
  expect(near.otherSizes.map(({ text }) => text)).toEqual([
    '4.5 mm too small.',
    '14.5 mm too wide.',
  ]);
});

it('uses only the water means that are owned, and those nobody needs to own', () => {
  const { ranked } = rank({
    bits: [CUP],
    machines: [DRILL],
    water: [{ id: 'w', name: 'Tray', kind: 'still-bath' }],
  });
  expect(new Set(ranked.map(({ water }) => water))).toEqual(new Set(['still-bath']));
  const small = rank({
    bits: [CUP],
    machines: [DRILL],
    water: [
      { id: 'w', name: 'Cup', kind: 'still-bath', trayLengthMm: 300, trayWidthMm: 200 },
      { id: 'd', name: 'Can', kind: 'drip' },
    ],
  });
  expect(new Set(small.ranked.map(({ water }) => water))).toEqual(new Set(['drip']));
});

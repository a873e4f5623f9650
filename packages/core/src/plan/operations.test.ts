import { BIT_FAMILIES, type BitFamilyId } from '../data/bits/bitFamilies';
import type { Bit } from '../documents/kit';
import type { Operation } from '../documents/operation';
import type { Plan, PlannedOperation } from '../documents/plan';
import { seededRandom } from '../math/seededRandom';
import { MARKING_MM } from '../layout/aim';
import { BIT_SWAP_S, coreBreakS, liftS, START_S, TURN_S } from '../physics/cutting/pauses';
import { caseIn, jobWith, PEBBLE, wallOf, type JobParts } from '../setup/jobFixtures';
import { asListed } from '../setup/operations/editOperations';
import { randomCase } from '../setup/randomJobs';
import { makePlan } from '../words/plan/makePlan';

const planOf = (parts: JobParts, operations?: readonly Operation[]): Plan => {
  const job = jobWith({ ...parts, hole: { ...parts.hole, ...(operations ? { operations } : {}) } });
  const outcome = makePlan(caseIn(job));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
};
const opsOf = (plan: Plan): readonly PlannedOperation[] => plan.operations ?? [];
const listed = (plan: Plan): string[] =>
  opsOf(plan).map(({ does, face, fromMm, toMm }) => `${does} ${face} ${fromMm}-${toMm}`);
const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);
const stagesS = ({ stages }: PlannedOperation): number =>
  sum(stages.map(({ timeS }) => timeS ?? NaN));
const only = (plan: Plan, id: string): PlannedOperation => {
  const found = opsOf(plan).find((one) => one.id === id);
  if (!found)
    throw new Error(
      `no ${id} among ${opsOf(plan)
        .map((one) => one.id)
        .join(', ')}`,
    );
  return found;
};

const TILED: JobParts = {
  piece: wallOf(['porcelain-tile', 9], ['lightweight-block', 100]),
  hole: { diameterMm: 8, depth: { kind: 'blind', depthMm: 60 } },
  setup: { bit: 'tile8', water: { kind: 'none' } },
  bits: [
    { id: 'tile8', name: 'Tile core 8', family: 'dry-tile-core', diameterMm: 8 },
    { id: 'mas8', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8, usableDepthMm: 120 },
  ],
};
/** The tile wet, the block behind it dry. */
const WET_TILED: JobParts = {
  ...TILED,
  setup: { bit: 'tile8', water: { kind: 'bottle' } },
  bits: (TILED.bits ?? []).map((bit) =>
    bit.id === 'tile8' ? { ...bit, family: 'brazed-tile-core' } : bit,
  ),
};
const CUP_50: JobParts = {
  piece: wallOf(['concrete', 150]),
  hole: { diameterMm: 62 },
  setup: { bit: 'cup', water: { kind: 'bottle' } },
  bits: [
    { id: 'cup', name: 'Cup 62', family: 'plated-cup-saw', diameterMm: 62, usableDepthMm: 50 },
  ],
};

describe('a tile on a block', () => {
  const plan = planOf(TILED);

  it('is cut leaf by leaf, each with the tool made for it', () => {
    expect(listed(plan)).toEqual([
      'mark near 0-0',
      'core near 0-9',
      'bore near 9-60',
      'clean near 60-60',
    ]);
    expect(only(plan, 'core')).toMatchObject({ bitId: 'tile8', wet: false, hammer: false });
    expect(only(plan, 'bore')).toMatchObject({ bitId: 'mas8', wet: false, hammer: false });
    expect(plan.warnings.map(({ code }) => code)).not.toContain('wrong-bit-for-material');
  });

  it('takes the time of its leaves, with one start, one change of bit and the lifts', () => {
    const [core, bore] = [only(plan, 'core'), only(plan, 'bore')];
    const lifts = core.lifts + bore.lifts;
    const byHand =
      stagesS(core) + stagesS(bore) + START_S.guide + BIT_SWAP_S + lifts * liftS('guided');
    expect(plan.restsS).toBe(0);
    expect(plan.drillTimeS?.p50).toBeCloseTo(byHand, 6);
    expect((core.timeS?.p50 ?? 0) + (bore.timeS?.p50 ?? 0)).toBeCloseTo(byHand, 6);
    // The block alone: depth over rate, with nothing to seat in a hole as wide as the bit.
    expect(bore.stages.map(({ kind }) => kind)).toEqual(['main']);
    expect(stagesS(bore) * (bore.rateMmPerS ?? 0)).toBeCloseTo(51, 1);
  });

  it('wears each bit by the depth it cut', () => {
    expect(opsOf(plan).map(({ bitId, bitDepthMm }) => [bitId, bitDepthMm])).toEqual([
      [null, 0],
      ['tile8', 9],
      ['mas8', 51],
      [null, 0],
    ]);
  });
});

it('a plug hole is as wide as the plug behind the tile, and a little wider in it', () => {
  const parts: JobParts = {
    ...WET_TILED,
    hole: {
      diameterMm: 8.75,
      depth: { kind: 'blind', depthMm: 72 },
      purpose: { kind: 'wall-plug', plugDiameterMm: 8, plugLengthMm: 50, tileThicknessMm: 9 },
    },
    bits: [
      { id: 'tile9', name: 'Tile core 9', family: 'brazed-tile-core', diameterMm: 8.8 },
      { id: 'mas8', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8, usableDepthMm: 120 },
    ],
    setup: { bit: 'tile9', water: { kind: 'bottle' } },
  };
  const plan = planOf(parts);
  expect(opsOf(plan).map(({ bitId }) => bitId)).toEqual([null, 'tile9', 'mas8', null]);
  // Neither is a pilot of the other: each leaf has its own width.
  expect(plan.pilots).toEqual([]);
  expect(plan.stages.map(({ toMm }) => toMm).at(-1)).toBe(72);
  expect(plan.fit?.followUps.map(({ title }) => title)).not.toContain(
    'Change the bit below the tile',
  );
  // Listed by hand it is no gap.
  expect(planOf(parts, opsOf(plan).map(asListed)).drillTimeS).toEqual(plan.drillTimeS);
});

it('what hangs in a hole has its rims eased, as an operation', () => {
  const plan = planOf({ hole: { purpose: { kind: 'hanging-cord', strandMm: 2 } } });
  expect(listed(plan).map((one) => one.split(' ')[0])).toEqual([
    'mark',
    'core',
    'ease-edge',
    'clean',
  ]);
  expect(plan.steps.map(({ title }) => title)).toContain('Ease the edge');
});

it('a socket has its core lifted and its wall roughened once the cutting is done', () => {
  const purpose = { kind: 'post-socket', postWidthMm: 42, embedmentMm: 120 };
  const plan = planOf({
    piece: wallOf(['concrete', 300]),
    hole: { diameterMm: 62, depth: { kind: 'blind', depthMm: 135 }, purpose },
    setup: { bit: 'core' },
    bits: [{ id: 'core', name: 'Core 62', family: 'segmented-core', diameterMm: 62 }],
  });
  expect(listed(plan).map((one) => one.split(' ')[0])).toEqual([
    'mark',
    'core',
    'break-out',
    'chisel',
    'clean',
  ]);
  expect(plan.steps.map(({ title }) => title)).toContain('Rough the wall');
  expect(only(plan, 'chisel')).toMatchObject({ fromMm: 135, haltS: 0 });
  // After the last cut it halts nothing: it is part of the job, not of the drilling.
  expect(plan.timeline.map(({ kind }) => kind)).not.toContain('chisel');
});

describe('gates', () => {
  it('stand once for all tools, and one answer settles them until any tool changes', () => {
    const dust = (plan: Plan) => plan.gates.find(({ code }) => code === 'dust');
    const open = dust(planOf(WET_TILED));
    expect(only(planOf(WET_TILED), 'core').gates).toContain('dust');
    expect(only(planOf(WET_TILED), 'bore').gates).toContain('dust');
    expect(planOf(WET_TILED).gates.filter(({ code }) => code === 'dust')).toHaveLength(1);
    const [answer] = open?.answers ?? [];
    const check = {
      hazard: 'dust',
      answer: answer?.code ?? '',
      at: '2026-05-04T10:00:00Z',
      of: open?.of ?? '',
    };
    const answered = { ...WET_TILED, hole: { ...WET_TILED.hole, checks: [check] } };
    expect(dust(planOf(answered))).toBeUndefined();
    expect(planOf(answered).settledGates.map(({ code }) => code)).toContain('dust');
    expect(only(planOf(answered), 'bore').gates).not.toContain('dust');
    // Given for one of the tools alone, it does not hold for both.
    const [forOne = ''] = check.of.split(' + ');
    expect(forOne).not.toBe(check.of);
    const half = { ...WET_TILED, hole: { ...WET_TILED.hole, checks: [{ ...check, of: forOne }] } };
    expect(dust(planOf(half))).toBeDefined();
  });

  it('of the hammer are raised by the tool that does not stand it', () => {
    const drill = { id: 'free', name: 'Drill', kind: 'cordless-drill' } as const;
    const plan = planOf({ ...TILED, machine: drill });
    expect(only(plan, 'core').gates).toContain('hammer');
    expect(only(plan, 'bore').gates).not.toContain('hammer');
  });
});

describe('a short cup through a slab', () => {
  const plan = planOf(CUP_50);

  it('is broken out every 45 mm: the barrel’s 50 less 5', () => {
    expect(listed(plan)).toEqual([
      'mark near 0-0',
      'core near 0-45',
      'break-out near 45-45',
      'core near 45-90',
      'break-out near 90-90',
      'core near 90-135',
      'break-out near 135-135',
      'core near 135-150',
      'clean near 150-150',
    ]);
    expect(plan).toMatchObject({ passes: 4, coreBreaksAtMm: [45, 90, 135] });
    const breakS = coreBreakS({ why: 'barrel-full', lengthMm: 45 }, 62);
    for (const id of ['break-out', 'break-out-2', 'break-out-3'])
      expect(only(plan, id).timeS?.p50).toBeCloseTo(breakS, 9);
  });

  it('seats once and eases off once, and wears one bit by the whole depth', () => {
    const kinds = opsOf(plan).flatMap(({ stages }) => stages.map(({ kind }) => kind));
    expect(kinds).toEqual(['seat', 'main', 'main', 'main', 'main', 'exit']);
    expect(sum(opsOf(plan).map(({ bitDepthMm }) => bitDepthMm))).toBe(150);
  });

  it('goes slower pass by pass as the rim wears', () => {
    const perMm = ['core-2', 'core-3'].map((id) => stagesS(only(plan, id)) / 45);
    expect(perMm[1]).toBeGreaterThan(perMm[0] ?? NaN);
  });
});

describe('a barrel shorter inside than outside', () => {
  const cup = (over: Partial<Bit>) => ({
    ...CUP_50,
    bits: (CUP_50.bits ?? []).map((bit) => ({ ...bit, usableDepthMm: 160, ...over })),
  });

  it('goes as deep as it reaches, and holds a core as long as its bore less 5', () => {
    expect(planOf(cup({})).coreBreaksAtMm).toEqual([]);
    const plan = planOf(cup({ boreDepthMm: 65 }));
    expect(plan.coreBreaksAtMm).toEqual([60, 120]);
    expect(only(plan, 'core-3')).toMatchObject({ boreDepthMm: 65, extensionId: null, toMm: 150 });
    expect(plan.warnings.map(({ code }) => code)).not.toContain('bit-too-short');
  });

  it('has its collar 2 mm past a face it opens, and as deep as it goes where it stops inside', () => {
    const through = planOf(cup({ freeLengthMm: 190 }));
    expect(only(through, 'core')).toMatchObject({ collarAtMm: 152, sticksOutMm: 190 });
    const blind = planOf({
      ...cup({}),
      hole: { diameterMm: 62, depth: { kind: 'blind', depthMm: 80 } },
    });
    // Free length not known: the barrel, and 20 mm of shank.
    expect(only(blind, 'core')).toMatchObject({ collarAtMm: 80, sticksOutMm: 180 });
    expect(blind.steps.find(({ title }) => title === 'Look at the bit')?.detail).toMatch(
      /Collar or tape 80\s?mm up from the rim\.$/,
    );
  });
});

describe('from both faces', () => {
  it('a solid wall is met in the middle, within the drift of both halves and the marking', () => {
    const plan = planOf({ ...CUP_50, setup: { ...CUP_50.setup, sides: 'two', hold: 'freehand' } });
    expect(listed(plan).filter((one) => one.includes('core'))).toEqual([
      'core near 0-45',
      'core near 45-75',
      'core far 0-45',
      'core far 45-75',
    ]);
    expect(only(plan, 'go-round').timeS?.p50).toBeCloseTo(TURN_S['go-round'], 9);
    const driftMm = 75 * Math.tan((2 * Math.PI) / 180);
    expect(plan.crossingMm).toBeCloseTo(Math.SQRT2 * driftMm + MARKING_MM, 9);
    expect(opsOf(plan).findLast(({ does }) => does === 'core')?.ends).toBe('meets');
    expect(plan.exitChipMm?.p50).toBe(0);
  });

  it('a pilot through the wall carries the centre over', () => {
    const bits = [
      ...(CUP_50.bits ?? []),
      {
        id: 'p',
        name: 'Pilot 8',
        family: 'masonry-bit',
        diameterMm: 8,
        usableDepthMm: 400,
      } as const,
    ];
    const setup = { ...CUP_50.setup, bits: ['p', 'cup'], sides: 'two', hold: 'freehand' } as const;
    const plan = planOf({ ...CUP_50, bits, setup });
    expect(listed(plan)[1]).toBe('pilot near 0-150');
    expect(plan.crossingMm).toBeCloseTo(Math.SQRT2 * 75 * Math.tan((2 * Math.PI) / 180), 9);
  });

  it('a cavity wall is drilled leaf by leaf, each from its own face', () => {
    const cavity = planOf({
      piece: wallOf(['clay-brick', 102], ['cavity', 70], ['lightweight-block', 100]),
      hole: { diameterMm: 127 },
      setup: { bit: 'dry', sides: 'two', water: { kind: 'none' } },
      bits: [{ id: 'dry', name: 'Dry core 127', family: 'dry-segmented-core', diameterMm: 127 }],
    });
    expect(listed(cavity)).toEqual([
      'mark near 0-0',
      'core near 0-102',
      'go-round near 102-102',
      'core far 0-100',
      'clean far 272-272',
    ]);
    expect(cavity.operations?.map(({ ends }) => ends)).toEqual([
      null,
      'cavity',
      null,
      'cavity',
      null,
    ]);
    expect(sum(opsOf(cavity).map(({ bitDepthMm }) => bitDepthMm))).toBe(202);
    // Dry, nothing is said of water but that there is none; and a wall is not turned over.
    const said = cavity.steps.map(({ title, detail }) => `${title}. ${detail}`).join(' ');
    expect(said).not.toMatch(/Turn the piece|flush|let water in/);
  });

  it('a pane is turned over, and only its last half is handled through', () => {
    const plan = planOf({ setup: { sides: 'two' } });
    expect(listed(plan)).toEqual([
      'mark near 0-0',
      'core near 0-3',
      'turn-over near 3-3',
      'core far 0-3',
      'clean far 6-6',
    ]);
  });
});

describe('operations of one’s own', () => {
  const STEPS: JobParts = { ...PEBBLE, setup: { bits: ['p', 'r3', 'r6'] } };

  it.each([
    ['steps', STEPS],
    ['passes', CUP_50],
    ['leaves', TILED],
    ['both faces', { setup: { sides: 'two' as const } }],
  ])('as the planner prints them plan the same: %s', (_, parts) => {
    const plan = planOf(parts);
    const again = planOf(parts, opsOf(plan).map(asListed));
    expect(again.operations).toEqual(plan.operations);
    expect(again.drillTimeS).toEqual(plan.drillTimeS);
    expect(again.crackProbability).toBe(plan.crackProbability);
    expect(again.water).toEqual(plan.water);
  });

  it('as printed plan the same for any setup with bits of one’s own', () => {
    const random = seededRandom(77);
    let asked = 0;
    for (let i = 0; i < 60; i++) {
      const drillCase = randomCase(random);
      const first = makePlan(drillCase);
      if (first.kind === 'faulty') continue;
      const operations = opsOf(first.plan);
      if (!operations.every(isListable)) continue;
      const hole = { ...drillCase.hole, operations: operations.map(asListed) };
      const second = makePlan({ ...drillCase, hole });
      if (second.kind === 'faulty') throw new Error(JSON.stringify(second.faults));
      expect(second.plan.drillTimeS?.p50 ?? 0).toBeCloseTo(first.plan.drillTimeS?.p50 ?? 0, 6);
      asked++;
    }
    expect(asked).toBeGreaterThan(10);
  });

  it('move without changing each other but by what they leave', () => {
    const ops: Operation[] = [
      { id: 'a', does: 'core', bitId: 'cup', fromMm: 0, toMm: 40 },
      { id: 'x', does: 'break-out' },
      { id: 'r', does: 'go-round' },
      { id: 'b', does: 'core', bitId: 'cup', face: 'far', fromMm: 0, toMm: 45 },
      { id: 'y', does: 'break-out', face: 'far' },
      { id: 'c', does: 'core', bitId: 'cup', face: 'far', fromMm: 45, toMm: 90 },
      { id: 'z', does: 'break-out', face: 'far' },
      { id: 'd', does: 'core', bitId: 'cup', face: 'far', fromMm: 90, toMm: 110 },
    ];
    const plan = planOf(CUP_50, ops);
    // Worn by nothing before it, the near cut is as it was when it came first; only the bit's wear moves.
    const moved = planOf(CUP_50, [...ops.slice(3), ...ops.slice(0, 2)]);
    for (const id of ['a', 'b', 'c'])
      expect(only(moved, id)).toMatchObject({
        rpm: only(plan, id).rpm,
        feedForceN: only(plan, id).feedForceN,
        rateMmPerS: only(plan, id).rateMmPerS,
        lifts: only(plan, id).lifts,
        bitDepthMm: only(plan, id).bitDepthMm,
      });
    // What is cut last meets the other, and no longer stops inside.
    expect([only(plan, 'a').ends, only(moved, 'a').ends]).toEqual(['inside', 'meets']);
    expect([only(plan, 'd').ends, only(moved, 'd').ends]).toEqual(['meets', 'inside']);
    expect(sum(opsOf(moved).map(({ bitDepthMm }) => bitDepthMm))).toBe(150);
  });

  it('follow the hole before them: a wider pilot leaves less to grind', () => {
    const wide: Operation[] = [
      { id: 'p', does: 'pilot', bitId: 'p' },
      { id: 'r', does: 'enlarge', bitId: 'r3' },
      { id: 'f', does: 'enlarge', bitId: 'r6' },
    ];
    const narrow = wide.filter(({ id }) => id !== 'r');
    const [after3, after1] = [planOf(STEPS, wide), planOf(STEPS, narrow)];
    expect(only(after3, 'p')).toEqual(only(after1, 'p'));
    expect(stagesS(only(after3, 'f'))).toBeLessThan(stagesS(only(after1, 'f')));
  });

  it('take a leaf by its number, and go on where the bit stopped', () => {
    const plan = planOf(TILED, [
      { id: 't', does: 'core', leaf: 1 },
      { id: 'm', does: 'bore', bitId: 'mas8', toMm: 60 },
    ]);
    expect(listed(plan)).toEqual(['core near 0-9', 'bore near 9-60']);
  });
});

/** What a setup is warned of, a list refuses: a solid bit too short, water through a dry tool. */
const isListable = ({ solid, toMm, usableDepthMm, wet, bitFamily }: PlannedOperation): boolean =>
  (!solid || usableDepthMm === null || toMm <= usableDepthMm) &&
  !(wet && bitFamily !== null && BIT_FAMILIES[bitFamily as BitFamilyId].dryOnly);

import type { Operation } from '../documents/operation';
import { PAUSE_IDS, BIT_SWAP_S, coreBreakS, lastCoreS, TURN_S } from '../physics/cutting/pauses';
import { finesMass } from '../physics/water/turbidity';
import { caseIn, jobWith, wallOf, type JobParts } from '../setup/jobFixtures';
import type { Material } from '../data/materials/material';
import type { Hole } from '../documents/hole';
import { MARKING_MM } from '../layout/aim';
import { thermalStress } from '../physics/heat/thermalStress';
import { spanSd } from '../physics/spread';
import { meanSlowness } from '../physics/wear/sharpness';
import { planBar } from './planBar';
import { planCrack, stressSites, weakness } from './planCrack';
import { hazardScene } from './hazardScene';
import { cutsOf, type PlanContext } from './planContext';
import { coreMassOf } from './planCores';
import type { CutPlan, HoleTask } from './planCut';
import { mixSpread, sumOf } from './planTime';
import { finesAfter, totalWater } from './planWater';
import { timelineOf } from './timeline';
import { contextIn } from './planFixtures';

function worked(parts: JobParts, operations?: readonly Operation[]): PlanContext {
  const job = jobWith({ ...parts, hole: { ...parts.hole, ...(operations ? { operations } : {}) } });
  return contextIn(caseIn(job));
}
const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);
const nth = (context: PlanContext, index: number): CutPlan => {
  const cut = cutsOf(context)[index];
  if (!cut) throw new Error(`no cut ${index}`);
  return cut;
};

const CUP: JobParts = {
  piece: wallOf(['concrete', 150]),
  hole: { diameterMm: 62 },
  setup: { bit: 'cup', water: { kind: 'bottle' } },
  bits: [
    { id: 'cup', name: 'Cup 62', family: 'plated-cup-saw', diameterMm: 62, usableDepthMm: 50 },
  ],
};
const CAVITY: JobParts = {
  piece: wallOf(['clay-brick', 102], ['cavity', 70], ['lightweight-block', 100]),
  hole: { diameterMm: 127 },
  setup: { bit: 'dry', water: { kind: 'none' } },
  bits: [
    {
      id: 'dry',
      name: 'Dry core 127',
      family: 'dry-segmented-core',
      diameterMm: 127,
      usableDepthMm: 300,
    },
  ],
};
const PANE_STEPS: JobParts = {
  piece: { thicknessMm: 12 },
  setup: { bits: ['cup12', 'cup25'] },
  bits: [12, 25].map((diameterMm) => ({
    id: `cup${diameterMm}`,
    name: `Cup ${diameterMm}`,
    family: 'plated-cup-saw' as const,
    diameterMm,
  })),
};

describe('cores', () => {
  it('come out with all that was cut round them since the last, π(D − 2b)²/4·ρ heavy', () => {
    const context = worked(CUP);
    const { setup, headline } = nth(context, 0);
    const { diameterMm, rimWidthMm } = setup.finishing.geometry;
    const area = (Math.PI * (diameterMm - 2 * rimWidthMm) ** 2) / 4;
    const cores = context.operations.flatMap(({ core }) => (core ? [core] : []));
    expect(cores.map(({ atMm, lengthMm, why }) => [atMm, lengthMm, why])).toEqual([
      [45, 45, 'barrel-full'],
      [90, 45, 'barrel-full'],
      [135, 45, 'barrel-full'],
    ]);
    for (const { massKg, diameterMm: D } of cores) {
      expect(D).toBe(62);
      expect(massKg).toBeCloseTo(area * 45 * headline.material.densityKgPerM3 * 1e-9, 9);
    }
    expect(context.passes).toMatchObject({ count: 4, coreBreaksAtMm: [45, 90, 135] });
  });

  it('drop free at a cavity, as long as the leaf before it', () => {
    const context = worked(CAVITY);
    const [core] = context.operations.flatMap((one) => (one.core ? [one.core] : []));
    expect(core).toMatchObject({ atMm: 102, lengthMm: 102, why: 'cavity', diameterMm: 127 });
    const halt = context.operations.find((one) => one.core)?.time.pauses.coreBreaks;
    expect(halt).toBeCloseTo(20 + 0.2 * 127, 9);
    expect(core && coreBreakS(core, 127)).toBeCloseTo(halt ?? NaN, 9);
    // The last one is pushed out once the work is done.
    const clean = context.operations.at(-1);
    expect(clean?.time.around.lastCore).toBeCloseTo(lastCoreS(false, false, 127), 9);
  });

  it('are asked of the hazards cut by cut, by what each leaves standing', () => {
    const context = worked(CUP);
    const task = { piece: context.piece, hole: context.hole, possible: [] } as unknown as HoleTask;
    const scene = hazardScene({ checks: [] }, task, nth(context, 1), 600);
    expect(scene.work.coreMassKg).toBeCloseTo(coreMassOf(nth(context, 1)), 12);
    expect(scene.work.cuttingMinutes).toBeCloseTo(10, 12);
    expect(scene.material.id).toBe('concrete');
    expect(hazardScene({}, task, nth(context, 1), Infinity).work.cuttingMinutes).toBe(0);
  });

  it('want an extension where the bit does not reach, on at the last break it still reaches', () => {
    const deep = worked({
      ...CUP,
      bits: [
        {
          id: 'cup',
          name: 'Cup 62',
          family: 'plated-cup-saw',
          diameterMm: 62,
          usableDepthMm: 50,
          freeLengthMm: 100,
          shank: { kind: 'round', sizeMm: 10 },
        },
      ],
    });
    expect(deep.passes.extensionMm).toBeCloseTo(50, 9);
    expect(deep.passes.extendAtMm).toBe(90);
    expect(deep.extension).toBeNull();
  });
});

describe('leaves', () => {
  it('are the whole wall, each as its bit cuts it, whatever face it came from', () => {
    const one = worked(CAVITY);
    const both = worked({ ...CAVITY, setup: { ...CAVITY.setup, sides: 'two' } });
    for (const context of [one, both])
      expect(context.layers.map(({ layer }) => [layer.id, layer.fromMm, layer.toMm])).toEqual([
        ['clay-brick', 0, 102],
        ['cavity', 102, 172],
        ['lightweight-block', 172, 272],
      ]);
    expect(both.layers[1]).toMatchObject({ slowest: null, rateMmPerS: Infinity });
    expect(both.layers[2]?.slowest?.material.id).toBe('lightweight-block');
    expect(both.depthPerSideMm).toBe(102);
    expect(one.depthPerSideMm).toBe(272);
  });

  it('go at the harmonic mean of their passes', () => {
    const context = worked(CUP);
    const [leaf] = context.layers;
    const seconds = sum(
      cutsOf(context).map(
        ({ layers, operation }) =>
          (operation.toMm - operation.fromMm) / (layers[0]?.rateMmPerS ?? NaN),
      ),
    );
    expect(leaf?.rateMmPerS).toBeCloseTo(150 / seconds, 9);
  });
});

describe('time', () => {
  it('has each pause once, of its own operation', () => {
    const context = worked(CUP);
    for (const id of PAUSE_IDS)
      expect(context.time.pauses[id]).toBeCloseTo(
        sum(context.operations.map(({ time }) => time.pauses[id] ?? 0)),
        9,
      );
    expect(context.time.pausesS).toBeCloseTo(sumOf(context.time.pauses), 9);
    expect(context.time.pauses.bitSwaps).toBe(0);
    expect(worked(PANE_STEPS).time.pauses.bitSwaps).toBe(BIT_SWAP_S);
  });

  it('turns a pane over in a minute, and walks round a wall in five', () => {
    const turned = worked({ piece: { thicknessMm: 12 }, setup: { sides: 'two' } });
    expect(turned.time.pauses.turnOver).toBe(TURN_S['turn-over']);
    const round = worked({ ...CAVITY, setup: { ...CAVITY.setup, sides: 'two' } });
    expect(round.time.pauses.turnOver).toBe(TURN_S['go-round']);
  });

  it('adds the spans of its cuts: what makes one slow makes all slow', () => {
    const context = worked(CUP);
    const works = cutsOf(context).map(({ time }) => time.work);
    const p90 = sum(works.map((one) => one?.p90 ?? NaN));
    const p50 = sum(works.map((one) => one?.p50 ?? NaN));
    // ln(p90/p50)/1.2816 is the sd of a log-normal.
    expect(context.time.sd).toBeGreaterThan((0.8 * Math.log(p90 / p50)) / 1.2816);
    expect(context.time.sd).toBeLessThan((1.2 * Math.log(p90 / p50)) / 1.2816);
    expect(context.time.cuttingS).toBeCloseTo(
      sum(cutsOf(context).map(({ time }) => time.cuttingS)),
      9,
    );
    expect(context.time.restShare).toBeCloseTo(context.time.restsS / context.time.cuttingS, 12);
  });

  it('puts the clock to each break after what went before it', () => {
    const context = worked(CUP);
    const moments = timelineOf(context);
    const breaks = moments.filter(({ kind }) => kind === 'core-break');
    expect(breaks.map(({ depthMm, haltS }) => [depthMm, haltS])).toEqual(
      [45, 90, 135].map((depthMm) => [depthMm, 25 + 0.5 * 62 + 0.1 * 45]),
    );
    const cuts = cutsOf(context);
    let atS = 0;
    for (const [index, one] of breaks.entries()) {
      const { time } = cuts[index] ?? nth(context, 0);
      atS += time.cuttingS * (1 + time.restShare) + sumOf(time.pauses);
      expect(one.atS).toBeCloseTo(atS, 6);
      atS += one.haltS;
    }
    expect(moments.at(-1)).toMatchObject({ kind: 'end', depthMm: 150 });
  });

  it('widens with a mix by its fastest to slowest body, weighed by time', () => {
    const mixed = worked({
      piece: {
        ...wallOf(['limestone', 60]),
        layers: [
          {
            material: 'limestone',
            thicknessMm: 60,
            mix: [
              { material: 'limestone', share: 0.5 },
              { material: 'granite', share: 0.5 },
            ],
          },
        ],
      },
      hole: { diameterMm: 52 },
      setup: { bit: 'core' },
      bits: [{ id: 'core', name: 'Core 52', family: 'segmented-core', diameterMm: 52 }],
    });
    const rates = mixed.layers[0]?.parts.map(({ cut }) => cut.rateMmPerS) ?? [];
    const span = Math.log(Math.max(...rates) / Math.min(...rates)) / 2.5632;
    expect(mixSpread(mixed.layers)).toBeCloseTo(span, 9);
    expect(mixSpread(worked(CUP).layers)).toBe(0);
  });
});

describe('water', () => {
  const BATH: JobParts = {
    ...PANE_STEPS,
    setup: { ...PANE_STEPS.setup, water: { kind: 'pool' } },
  };

  it('carries its fines from one cut to the next, and none past a change', () => {
    const context = worked(BATH);
    const [first, second] = [nth(context, 0), nth(context, 1)];
    const { densityKgPerM3 } = first.headline.material;
    expect(first.water.finesG).toBeCloseTo(
      finesMass(densityKgPerM3, first.headline.contact.kerfAreaMm2, 12),
      9,
    );
    // The second ring grinds what the first left of it.
    expect(second.water.finesG).toBeCloseTo(
      finesMass(densityKgPerM3, second.headline.contact.kerfAreaMm2, 12),
      9,
    );
    expect(context.water.finesG).toBeCloseTo(first.water.finesG + second.water.finesG, 9);
    const bath = { ...first.water, finesG: 12, fillL: 1 };
    expect(finesAfter({ ...bath, changeAtDepthMm: [] }, 5, 0, 12)).toBe(17);
    expect(finesAfter({ ...bath, changeAtDepthMm: [3, 8] }, 5, 0, 12)).toBeCloseTo(4, 12);
    expect(finesAfter({ ...bath, changeAtDepthMm: [8] }, 5, 4, 12)).toBeCloseTo(6, 12);
    // Water that runs holds nothing; what stood in a tray before is there still.
    expect(finesAfter({ ...bath, fillL: null, changeAtDepthMm: [3] }, 5, 0, 12)).toBe(5);
  });

  it('fills for as many whole holes as it stays clear enough for', () => {
    const { water } = nth(worked(BATH), 0);
    const one = { ...water, finesG: 10, holesPerFill: 6.6, slurryL: null, offAtMm: null };
    const other = { ...one, finesG: 20, changeAtDepthMm: [4] };
    const total = totalWater(one, [one, other], [other]);
    // 6.6 times 10 g is what it bears: two holes of 30 g.
    expect(total).toMatchObject({ finesG: 30, holesPerFill: 2, changeAtDepthMm: [4] });
  });

  it('runs off as one slurry, not known where one cut never ends', () => {
    const { water } = nth(worked(CUP), 0);
    const one = { ...water, slurryL: 2, offAtMm: null };
    expect(totalWater(one, [one, { ...one, slurryL: 3 }], [one]).slurryL).toBe(5);
    expect(totalWater(one, [one, { ...one, slurryL: null }], [one]).slurryL).toBeNull();
    expect(totalWater(one, [{ ...one, slurryL: null }, one], [one]).slurryL).toBeNull();
    expect(totalWater(one, [one, { ...one, method: 'none', slurryL: 9 }], [one]).slurryL).toBe(2);
    const off = { ...one, offAtMm: 130 };
    expect(totalWater(one, [one, off], [one, off]).offAtMm).toBe(130);
  });
});

describe('what may crack', () => {
  it('is the groove’s floor as well, while something is left under it', () => {
    const { crackCase } = worked({});
    const kinds = (easedAtMm: number | null) =>
      stressSites({ ...crackCase, easedAtMm }).map(({ kind }) => kind);
    expect(kinds(null)).not.toContain('groove');
    expect(kinds(0)).not.toContain('groove');
    expect(kinds(0.5)).toContain('groove');
    expect(crackCase.easedAtMm).toBeGreaterThan(0);
  });

  it('is weaker and hotter by what else it may be, never the other way', () => {
    const { crackCase, headline } = worked({ piece: { material: 'marble', form: 'slab' } });
    const strain = (material: Material) =>
      thermalStress(material, 1) * material.heatShare * material.friction;
    const other = {
      ...headline.material,
      id: 'hotter',
      heatShare: headline.material.heatShare * 2,
    };
    expect(weakness(headline, other).heatFactor).toBeCloseTo(
      strain(other) / strain(headline.material),
      12,
    );
    const cooler = { ...other, heatShare: headline.material.heatShare / 2, edgeStrengthMpa: 1e4 };
    expect(weakness(headline, cooler)).toEqual({ strengthFactor: 1, heatFactor: 1 });
    const weaker = { ...headline.material, edgeStrengthMpa: headline.material.edgeStrengthMpa / 2 };
    expect(weakness(headline, weaker).strengthFactor).toBeCloseTo(0.5, 9);
    const hot = { ...crackCase, thermalStressMpa: 4 };
    const known = planCrack({ ...hot, possible: [{ material: headline.material, share: 1 }] });
    const doubled = planCrack({ ...hot, possible: [{ material: other, share: 1 }] });
    const asHot = planCrack({
      ...hot,
      thermalStressMpa: 8,
      possible: [{ material: headline.material, share: 1 }],
    });
    expect(doubled.byStress).toBeCloseTo(asHot.byStress, 12);
    expect(doubled.byStress).toBeGreaterThan(known.byStress);
  });

  it('is chipped at the face it opens, and not where it meets the other cut', () => {
    expect(nth(worked({}), 0).exit?.chipWidthMm).toBeGreaterThan(0);
    const both = worked({ piece: { thicknessMm: 12 }, setup: { sides: 'two' } });
    expect(nth(both, 1)).toMatchObject({ ends: 'meets', exit: { chipWidthMm: 0 } });
  });
});

describe('where cuts meet', () => {
  const SOLID: JobParts = {
    piece: wallOf(['clay-brick', 150]),
    hole: { diameterMm: 52 },
    setup: { bit: 'core', hold: 'guided' },
    bits: [
      { id: 'core', name: 'Core 52', family: 'segmented-core', diameterMm: 52, usableDepthMm: 200 },
      { id: 'rod', name: 'Masonry 10', family: 'masonry-bit', diameterMm: 10, usableDepthMm: 300 },
    ],
  };
  const meeting = (pilotMm: number) =>
    worked(SOLID, [
      { id: 'p', does: 'pilot', bitId: 'rod', wet: false, toMm: pilotMm },
      { id: 'n', does: 'core', toMm: 75 },
      { id: 'turn', does: 'go-round' },
      { id: 'f', does: 'core', face: 'far' },
    ]).crossingMm ?? NaN;

  it('they miss by their lean and the marking, which only a pilot through the whole takes away', () => {
    const short = meeting(100);
    const through = meeting(150);
    expect(short - through).toBeCloseTo(MARKING_MM, 9);
    // √(75² + 75²)·tan(lean): the pilot’s own depth does not come into it.
    expect(meeting(60)).toBeCloseTo(short, 12);
    expect(worked({}).crossingMm).toBeNull();
  });
});

describe('on the way down', () => {
  const kindsAt = (context: PlanContext, kind: string) =>
    timelineOf(context)
      .filter((one) => one.kind === kind)
      .map(({ depthMm }) => depthMm);

  it('each new leaf is said at its top, and no pass is one', () => {
    expect(kindsAt(worked(CUP), 'leaf')).toEqual([]);
    expect(kindsAt(worked(CAVITY), 'leaf')).toEqual([172]);
    expect(kindsAt(worked(CAVITY), 'cavity')).toEqual([102]);
    const tiled = worked({
      piece: wallOf(['porcelain-tile', 9], ['lightweight-block', 100]),
      hole: { diameterMm: 8, depth: { kind: 'blind', depthMm: 60 } },
      setup: { bit: 'tile8', water: { kind: 'none' } },
      bits: [
        { id: 'tile8', name: 'Tile core 8', family: 'dry-tile-core', diameterMm: 8 },
        { id: 'mas8', name: 'Masonry 8', family: 'masonry-bit', diameterMm: 8 },
      ],
    });
    expect(kindsAt(tiled, 'leaf')).toEqual([9]);
    expect(kindsAt(tiled, 'bit-change')).toEqual([9]);
  });

  it('the last core is as long as what was cut since the one before', () => {
    const { core } = timelineOf(worked(CUP)).at(-1) ?? {};
    expect(core?.lengthMm).toBeCloseTo(15, 9);
    expect(core?.massKg).toBeCloseTo(coreMassOf(nth(worked(CUP), 3)), 12);
  });

  it('what is behind the bottom of a blind hole is no part of it', () => {
    const blind = worked({
      ...CAVITY,
      hole: { diameterMm: 127, depth: { kind: 'blind', depthMm: 102 } },
    });
    expect(blind.layers.map(({ layer }) => layer.id)).toEqual(['clay-brick']);
    expect(blind.depthMm).toBe(102);
  });

  it('reaches the thickest it was measured, through and no further where it is blind', () => {
    const measured = (depth: Hole['depth']) =>
      worked({
        ...CUP,
        piece: { ...CUP.piece, thicknessReadingsMm: [150, 158] },
        hole: { diameterMm: 62, depth },
        bits: (CUP.bits ?? []).map((bit) => ({ ...bit, usableDepthMm: 150 })),
      });
    expect(measured({ kind: 'through' }).passes.extensionMm).toBeCloseTo(8, 9);
    expect(measured({ kind: 'blind', depthMm: 140 }).passes.extensionMm).toBe(0);
  });

  it('each pass goes on with what the bit has worn off already', () => {
    const shares = cutsOf(worked(CUP)).map(({ stages, headline }) => {
      const main = stages.find(({ kind }) => kind === 'main');
      if (!main) throw new Error('no main stage');
      const { fromMm, toMm, timeS } = main;
      const { sharpness, lifeDepthMm } = headline;
      return (
        (((timeS ?? NaN) / (toMm - fromMm)) * headline.rateMmPerS) /
        meanSlowness(sharpness, fromMm, toMm, lifeDepthMm)
      );
    });
    for (const share of shares) expect(share).toBeCloseTo(1, 9);
  });

  it('hazards look at the first leaf it meets, though another goes slower', () => {
    const context = worked({
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
    const task = { piece: context.piece, hole: context.hole, possible: [] } as unknown as HoleTask;
    expect(nth(context, 0).headline.material.id).toBe('engineering-brick');
    expect(hazardScene({}, task, nth(context, 0), 60).material.id).toBe('lightweight-block');
  });

  it('a bar is cut by the numbers of the body at its steel, where the bit does so at all', () => {
    const { setup, layers } = nth(worked(CUP), 0);
    const core = nth(
      worked({
        ...CUP,
        setup: { bit: 'core' },
        bits: [{ id: 'core', name: 'Core 62', family: 'segmented-core', diameterMm: 62 }],
      }),
      0,
    );
    expect(core.bar?.rateMmPerS).toBeGreaterThan(0);
    expect(core.bar?.rateMmPerS).toBeLessThan(core.headline.rateMmPerS);
    expect(core.bar?.lifeDepthMm).toBeLessThan(core.headline.lifeDepthMm);
    expect(planBar(nth(worked({}), 0).layers, core.setup)).toBeNull();
    expect(planBar(layers, { ...setup, ...core.setup })).toEqual(core.bar);
  });

  it('knows the sd of its time from its own span, and of what is not sure from the bodies’ own', () => {
    const known = worked({});
    const [time] = cutsOf(known).map((cut) => cut.time);
    expect(time?.sd).toBeCloseTo(spanSd(time?.work ?? { p10: 1, p90: 1 }), 12);
    const unsure = nth(
      worked({
        piece: {
          material: 'marble',
          form: 'slab',
          couldBe: [
            { material: 'marble', share: 0.5 },
            { material: 'quartzite-agate', share: 0.5 },
          ],
        },
      }),
      0,
    ).time;
    // One body alone scatters less than not knowing which.
    expect(unsure.sd).toBeLessThan(0.9 * spanSd(unsure.work ?? { p10: 1, p90: 1 }));
    expect(unsure.sd).toBeGreaterThan(0);
  });
});

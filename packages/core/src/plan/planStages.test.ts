import { exitChipDepth, exitChipWidth, forceForChipWidth } from '../physics/exit/exitChip';
import { logNormalP10, logNormalP90 } from '../physics/spread';
import { lastLigament } from '../physics/strength/stressSites';
import { glazingTime, meanSlowness } from '../physics/wear/sharpness';
import { caseWith, wallOf, type JobParts } from '../setup/jobFixtures';
import type { CutPlan } from './planCut';
import { allowedChip, chipSd, planExit, planStages } from './planStages';
import { coreBit, cutAt, workedOut } from './planFixtures';

function cutIn(parts: JobParts = {}): CutPlan {
  return cutAt(workedOut(parts), 0);
}
const PIECE = caseWith().piece;
const { headline: CUT, setup: SETUP } = cutIn();
const { feedForceN: MAIN_N } = CUT.force;
const AREA = CUT.contact.contactAreaMm2;
const { low, glaze } = CUT.window.pressureMpa;
const exitFor = (allowedMm: number, setup = SETUP, opensFace = true) =>
  planExit(CUT, PIECE, setup, allowedMm, opensFace);

it('allows what the cover hides, what is made good behind a wall, else what shows', () => {
  const sheet = { form: 'sheet' } as const;
  expect(allowedChip(2.5, sheet)).toBe(2.5);
  expect(allowedChip(0, sheet)).toBe(0.05);
  for (const none of [null, undefined]) {
    expect(allowedChip(none, sheet)).toBe(1);
    expect(allowedChip(none, { form: 'wall' })).toBe(8);
  }
  expect(allowedChip(2.5, { form: 'floor' })).toBe(2.5);
});

it('eases off until nine chips in ten stay under what is allowed', () => {
  const { exitForceN, idealN, chipWidthMm, chipDepthMm, conditions, ligamentMm, ...exit } =
    exitFor(1);
  expect(exitForceN).toBe(idealN);
  expect(exitForceN).toBeLessThan(MAIN_N);
  expect(exitForceN).toBeGreaterThan(low * AREA);
  expect(logNormalP90(chipWidthMm, chipSd(SETUP, CUT))).toBeCloseTo(1, 9);
  expect(chipWidthMm).toBe(exitChipWidth(CUT.material, exitForceN, conditions));
  expect(chipDepthMm).toBe(exitChipDepth(CUT.material, exitForceN, conditions));
  expect(exit).toEqual({ allowedChipMm: 1, belowGlaze: false });
  // The last web lets go by the main force, whatever it is eased to.
  const ring = { ...CUT.bit, ...CUT.contact };
  expect(ligamentMm).toBe(lastLigament(MAIN_N, ring, CUT.material.edgeStrengthMpa));
});

it('eases no further than it cuts, and says where even that chips too wide', () => {
  expect(exitFor(8).exitForceN).toBe(MAIN_N);
  const conditions = exitFor(1).conditions;
  const sd = chipSd(SETUP, CUT);
  const idealAt = (mm: number): number =>
    forceForChipWidth(CUT.material, logNormalP10(mm, sd), conditions);
  // Found by halving: the width at which the force would just glaze.
  let [under, over] = [0, 1];
  for (let i = 0; i < 50; i++) {
    const mid = (under + over) / 2;
    if (idealAt(mid) < glaze * AREA) under = mid;
    else over = mid;
  }
  expect(exitFor(under * 0.99)).toMatchObject({ exitForceN: low * AREA, belowGlaze: true });
  expect(exitFor(over * 1.01)).toMatchObject({ exitForceN: low * AREA, belowGlaze: false });
});

it('holds the main force where that is wanted, and chips as it comes', () => {
  const held = exitFor(0.1, { ...SETUP, wanted: { ...SETUP.wanted, exit: 'hold' } });
  expect(held).toMatchObject({ exitForceN: MAIN_N, belowGlaze: false });
  expect(held.chipWidthMm).toBe(exitChipWidth(CUT.material, MAIN_N, held.conditions));
});

it('chips nothing where it meets the cut from the other face', () => {
  expect(exitFor(1, SETUP, false)).toMatchObject({ chipWidthMm: 0, exitForceN: MAIN_N });
});

it('presses the exit at the exit force, and takes as much longer', () => {
  const { stages, exit, headline } = cutIn();
  const exitStage = stages.find(({ kind }) => kind === 'exit');
  const main = stages.find(({ kind }) => kind === 'main');
  if (!exit || !exitStage || !main) throw new Error('A pane has a main cut and an exit.');
  // Seated at six tenths of the speed and a third of the force.
  const [seat] = stages;
  expect(seat).toMatchObject({ kind: 'seat' });
  expect(seat?.rpm).toBeCloseTo(0.6 * main.rpm, 9);
  expect(seat?.forceN).toBeCloseTo(Math.max(0.3 * MAIN_N, 1.1 * glaze * AREA), 9);
  expect([main.rpm, exitStage.rpm]).toEqual([CUT.speed.rpm, CUT.speed.rpm]);
  expect(exitStage.forceN).toBe(exit.exitForceN);
  expect(main.forceN).toBe(headline.force.feedForceN);
  const rate = (stage: typeof main): number => (stage.toMm - stage.fromMm) / (stage.timeS ?? NaN);
  expect(rate(exitStage)).toBeLessThan(rate(main));
  const wall = cutIn({
    piece: wallOf(['clay-brick', 100]),
    hole: { diameterMm: 40, depth: { kind: 'blind', depthMm: 60 } },
    setup: { bit: 'core', water: { kind: 'bottle' } },
    bits: [coreBit(40)],
  });
  expect(wall.exit).toBeNull();
  expect(wall.stages.map(({ kind }) => kind)).toEqual(['seat', 'main']);
});

describe('through several leaves', () => {
  const WALL: JobParts = {
    piece: wallOf(['engineering-brick', 60], ['cavity', 40], ['lightweight-block', 60]),
    hole: { diameterMm: 52 },
    setup: { bit: 'core', water: { kind: 'bottle' } },
    bits: [coreBit(52, 200)],
  };
  const { stages, layers, exit } = cutIn({
    ...WALL,
    piece: wallOf(['engineering-brick', 60], ['lightweight-block', 100]),
  });

  it('each stage lies in one leaf, at that leaf’s own force, and they follow each other', () => {
    expect(layers.map(({ layer }) => layer.toMm)).toEqual([60, 160]);
    for (const [index, { fromMm, toMm, kind, forceN, timeS }] of stages.entries()) {
      expect(toMm).toBeGreaterThan(fromMm);
      expect(fromMm).toBe(stages[index - 1]?.toMm ?? 0);
      const leaf = layers.find(({ layer }) => fromMm >= layer.fromMm && toMm <= layer.toMm);
      if (kind === 'main') expect(forceN).toBe(leaf?.slowest?.force.feedForceN);
      if (kind === 'exit') expect(forceN).toBe(exit?.exitForceN);
      expect(timeS).toBeGreaterThan(0);
    }
    expect(stages.at(-1)).toMatchObject({ kind: 'exit', toMm: 160 });
    expect(stages.map(({ fromMm }) => fromMm)).toContain(60);
  });

  it('nothing is cut in a cavity, nor where nothing is solid', () => {
    const cavity = cutIn(WALL);
    expect(cavity.stages.every(({ fromMm, toMm }) => toMm <= 60 || fromMm >= 100)).toBe(true);
    const open = layers.map((layer) => ({ ...layer, slowest: null }));
    const descent = { side: 1, fromMm: 0, toMm: 160, seated: false, exit: null } as const;
    expect(planStages({ ...descent, layers: open, exitEarlyMm: 0, bitBeforeMm: 0 })).toEqual([]);
  });

  it('each takes its length at the leaf’s rate, slower as the rim wears, and where it only polishes', () => {
    for (const pressed of [{}, { contactPressureMpa: 0.8 * glaze }]) {
      const { stages: own, headline } = cutIn({ setup: pressed });
      const main = own.find(({ kind }) => kind === 'main');
      if (!main) throw new Error('A pane has a main cut.');
      const { fromMm, toMm, timeS, forceN } = main;
      const { sharpness, lifeDepthMm, contact, window, material } = headline;
      const sharpS =
        ((toMm - fromMm) / headline.rateMmPerS) *
        meanSlowness(sharpness, fromMm, toMm, lifeDepthMm);
      const glazes = forceN / contact.contactAreaMm2 < window.pressureMpa.glaze;
      expect(glazes).toBe('contactPressureMpa' in pressed);
      expect((timeS ?? NaN) / sharpS).toBeCloseTo(
        glazes ? glazingTime(sharpS, sharpness, material.abrasiveness) / sharpS : 1,
        9,
      );
    }
  });
});

it('is chipped at the face it opens, and not where it meets the other cut', () => {
  expect(cutAt(workedOut({}), 0).exit?.chipWidthMm).toBeGreaterThan(0);
  const both = workedOut({ piece: { thicknessMm: 12 }, setup: { sides: 'two' } });
  expect(cutAt(both, 1)).toMatchObject({ ends: 'meets', exit: { chipWidthMm: 0 } });
});

import { exitChipDepth, exitChipWidth, forceForChipWidth } from '../physics/exit/exitChip';
import { logNormalP10, logNormalP90 } from '../physics/spread';
import { lastLigament } from '../physics/strength/stressSites';
import { caseWith, wallOf, type JobParts } from '../setup/jobFixtures';
import { contextOf } from './contextOf';
import { cutsOf } from './planContext';
import type { CutPlan } from './planCut';
import { allowedChip, chipSd, planExit } from './planStages';

function cutIn(parts: JobParts = {}): CutPlan {
  const outcome = contextOf(caseWith(parts));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  const [cut] = cutsOf(outcome.context);
  if (!cut) throw new Error('A hole has a cut.');
  return cut;
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
  expect(exitStage.forceN).toBe(exit.exitForceN);
  expect(main.forceN).toBe(headline.force.feedForceN);
  const rate = (stage: typeof main): number => (stage.toMm - stage.fromMm) / (stage.timeS ?? NaN);
  expect(rate(exitStage)).toBeLessThan(rate(main));
  const wall = cutIn({
    piece: wallOf(['clay-brick', 100]),
    hole: { diameterMm: 40, depth: { kind: 'blind', depthMm: 60 } },
    setup: { bit: 'core', water: { kind: 'bottle' } },
    bits: [{ id: 'core', name: 'Core 40', family: 'segmented-core', diameterMm: 40 }],
  });
  expect(wall.exit).toBeNull();
  expect(wall.stages.map(({ kind }) => kind)).toEqual(['seat', 'main']);
});

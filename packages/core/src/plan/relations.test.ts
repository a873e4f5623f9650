import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { isBuilding } from '../data/pieceForms';
import { COOLANTS } from '../data/coolants';
import { seededRandom } from '../math/seededRandom';
import { aroundS, BIT_SWAP_S, lastCoreS, liftS, START_S, TURN_S } from '../physics/cutting/pauses';
import { rimSpeedAt, meanSpeedAt } from '../physics/cutting/contact';
import { thermalStress } from '../physics/heat/thermalStress';
import { exitChipWidth } from '../physics/exit/exitChip';
import { waterFlow } from '../physics/water/flow';
import { finesMass, turbidityLimit } from '../physics/water/turbidity';
import { exitChipSd, logNormalP90 } from '../physics/spread';
import { randomCase } from '../setup/randomJobs';
import { contextOf } from './contextOf';
import type { PlanContext } from './planContext';
import { clearOf, handlingCase, sheetThickness, stressSites } from './planCrack';
import { planNumbers } from './planNumbers';
import { WATER_OFF_BEFORE_MM } from './planWater';
import { timelineOf } from './timeline';
import { cutDiameter, warningsOf } from './warnings';

const random = seededRandom(404);
const CONTEXTS: readonly PlanContext[] = Array.from({ length: 300 }, () => {
  const outcome = contextOf(randomCase(random));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.context;
});
const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);
const close = (a: number, b: number): void => {
  if (a !== b)
    expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(a), Math.abs(b)));
};
const twoSided = ({ opensFarFace, setup }: PlanContext): boolean =>
  opensFarFace && setup.sides === 'two';
/** How many of them a relation was asked of: it says nothing where it never applies. */
const asked = (check: (context: PlanContext) => boolean): number => CONTEXTS.filter(check).length;

it('cuts contiguous stages from each face to its depth, and adds their times', () => {
  for (const context of CONTEXTS) {
    const { stages, depthMm, depthPerSideMm, time } = context;
    expect(depthPerSideMm).toBe(twoSided(context) ? depthMm / 2 : depthMm);
    for (const side of twoSided(context) ? [1, 2] : [1]) {
      const mine = stages.filter((stage) => stage.side === side);
      expect(mine[0]?.fromMm).toBe(0);
      close(mine.at(-1)?.toMm ?? NaN, depthPerSideMm);
      mine.slice(1).forEach(({ fromMm }, index) => close(fromMm, mine[index]?.toMm ?? NaN));
    }
    const cut = sum(stages.map(({ timeS }) => timeS ?? Infinity));
    close(
      time.cuttingS,
      cut + sum(planNumbers(context).pilots.map(({ timeS }) => timeS ?? Infinity)),
    );
  }
});

it('adds rests, pauses and what comes before and after, each at its own seconds', () => {
  for (const context of CONTEXTS) {
    const { time, setup, hole, piece, operations } = context;
    const { solid, diameterMm } = setup.finishing.geometry;
    close(time.pauses.start, START_S[setup.start] * (twoSided(context) ? 2 : 1));
    const cuts = operations.flatMap(({ cut }) => cut ?? []);
    const lifts = sum(cuts.map((cut) => cut.lifts.length));
    close(time.pauses.lifts, lifts * liftS(setup.hold));
    const changes = sum(cuts.map(({ water }) => water.changeAtDepthMm.length));
    close(time.pauses.waterChanges, changes * setup.coolant.changeS);
    close(time.pauses.bitSwaps, (setup.bits.length - 1) * BIT_SWAP_S);
    close(
      time.pauses.turnOver,
      twoSided(context) ? TURN_S[isBuilding(piece) ? 'go-round' : 'turn-over'] : 0,
    );
    close(time.pausesS, sum(Object.values(time.pauses)));
    const { setUp, takeDown } = aroundS(setup.hold, undefined, setup.coolant.id);
    expect(time.around).toEqual({
      setUp,
      takeDown,
      lastCore: lastCoreS(solid, hole.depth.kind !== 'through', diameterMm),
    });
    if (!time.spread || !time.altogether) {
      expect(time.restsS === 0 || Number.isFinite(time.cuttingS)).toBe(true);
      continue;
    }
    close(time.restsS, time.cuttingS * time.restShare);
    close(time.spread.p50, time.cuttingS * (1 + time.restShare) + time.pausesS);
    close(time.altogether.p50, time.spread.p50 + sum(Object.values(time.around)));
    expect(time.spread.p10).toBeLessThan(time.spread.p50);
    expect(time.altogether.p90 - time.altogether.p50).toBeGreaterThan(
      time.spread.p90 - time.spread.p50,
    );
    close(sum(time.cuts.map(({ seconds }) => seconds)), time.cuttingS * (1 + time.restShare));
  }
});

it('presses each stage within the leaf it lies in, the last at the exit force', () => {
  for (const { stages, layers, depthMm, time, exit, headline } of CONTEXTS) {
    for (const [index, { kind, fromMm, toMm, side, forceN, rpm }] of stages.entries()) {
      const middle = (fromMm + toMm) / 2;
      const depth = side === 1 ? middle : depthMm - middle;
      const leaf = layers.find(({ layer }) => depth >= layer.fromMm && depth <= layer.toMm);
      const cut = leaf?.slowest;
      if (!cut) throw new Error('a stage in the air');
      if (kind === 'main') close(forceN, cut.force.feedForceN);
      if (kind === 'exit') close(forceN, exit?.exitForceN ?? NaN);
      if (kind === 'seat') expect(forceN).toBeLessThanOrEqual(cut.force.feedForceN * (1 + 1e-9));
      if (kind !== 'seat') close(rpm, cut.speed.rpm);
      const pressed = time.cuts[index];
      close(pressed?.pressureMpa ?? NaN, forceN / cut.contact.contactAreaMm2);
      close(pressed?.idleMpa ?? NaN, cut.window.pressureMpa.glaze / 2);
    }
    close(headline.speed.rimSpeedMPerS, rimSpeedAt(headline.speed.rpm, headline.bit.diameterMm));
    close(
      headline.force.meanSpeedMPerS,
      meanSpeedAt(headline.speed.rpm, headline.contact.meanRadiusMm) * headline.force.speedShare,
    );
  }
});

it('lifts where water does not flush the groove, never past its side', () => {
  const lifted = asked(({ lifts, setup, depthPerSideMm }) => {
    if (COOLANTS[setup.coolant.id].flushesGroove) expect(lifts).toEqual([]);
    for (const depth of lifts) expect(depth).toBeLessThan(depthPerSideMm);
    return lifts.length > 0;
  });
  expect(lifted).toBeGreaterThan(50);
});

it('takes so much water as the fines of the kerf ask for', () => {
  const standing = asked(({ water, headline, layers, setup, depthMm }) => {
    const { material, contact, bit } = headline;
    close(
      water.finesG,
      sum(
        layers.map(({ layer, slowest }) =>
          slowest
            ? finesMass(
                slowest.material.densityKgPerM3,
                contact.kerfAreaMm2,
                layer.toMm - layer.fromMm,
              )
            : 0,
        ),
      ),
    );
    expect(water.method).toBe(setup.coolant.id);
    if (setup.coolant.kind === 'flowing') {
      const flow = waterFlow({
        ...bit,
        ...contact,
        ...material,
        powerW: headline.force.powerW,
        rateMmPerS: headline.rateMmPerS,
      });
      close(water.flowLPerMin ?? NaN, flow.flowLPerMin);
      close(water.secondsPerCup ?? NaN, flow.secondsPerCup);
      const seconds = sum(
        layers.map(({ layer, rateMmPerS }) => (layer.toMm - layer.fromMm) / rateMmPerS),
      );
      if (Number.isFinite(seconds)) close(water.slurryL ?? NaN, (flow.flowLPerMin * seconds) / 60);
      else expect(water.slurryL).toBeNull();
    }
    if (setup.coolant.kind !== 'standing') return false;
    const limit = turbidityLimit(setup.coolant.atCoverMm, material.grainSizeUm);
    expect(water.holesPerFill).toBe(Math.floor((limit * (water.fillL ?? NaN)) / water.finesG));
    expect(water.flowLPerMin).toBeNull();
    for (const depth of water.changeAtDepthMm) expect(depth).toBeLessThan(depthMm);
    return true;
  });
  expect(standing).toBeGreaterThan(40);
});

it('shuts the water off before a wall’s far face alone', () => {
  const shut = asked((context) => {
    const { water, piece, hole, setup } = context;
    const isRun = setup.coolant.kind === 'flowing';
    const isWall = piece.form === 'wall' && hole.depth.kind === 'through';
    const expected =
      isRun && isWall && !twoSided(context) && WATER_OFF_BEFORE_MM < piece.thicknessMm
        ? piece.thicknessMm - WATER_OFF_BEFORE_MM
        : null;
    expect(water.offAtMm).toBe(expected);
    return expected !== null;
  });
  expect(shut).toBeGreaterThan(0);
});

it('strains by the rim’s heat, and chips by the exit force, the worst of a hundred beside the middle', () => {
  for (const { thermalStressMpa, headline, tempRiseK, chip, exit, setup } of CONTEXTS) {
    close(thermalStressMpa, thermalStress(headline.material, tempRiseK));
    expect(chip === null).toBe(exit === null);
    if (!chip || !exit) continue;
    const sd = exitChipSd(setup.hold, headline.sharpness, headline.bit.diameterMm);
    close(chip.p50, exit.chipWidthMm);
    close(chip.p90, logNormalP90(exit.chipWidthMm, sd));
    expect(exit.exitForceN).toBeLessThanOrEqual(headline.force.feedForceN * (1 + 1e-9));
    if (setup.wanted.exit === 'hold') expect(exit.belowGlaze).toBe(false);
    close(exit.chipWidthMm, exitChipWidth(headline.material, exit.exitForceN, exit.conditions));
  }
});

it('stretches rim, web and groove of what is no wall, as the piece is handled', () => {
  const webs = asked(({ crackCase, piece, headline, setup, hole, exit }) => {
    const sites = stressSites(crackCase);
    const isBuilding = piece.form === 'wall' || piece.form === 'floor';
    expect(sites.length === 0).toBe(isBuilding);
    if (!isBuilding) {
      expect(sites[0]).toMatchObject({ kind: 'rim', thermalMpa: crackCase.thermalStressMpa });
      for (const { lengthShare } of sites) close(lengthShare, headline.bit.diameterMm / 25);
    }
    const flat = piece.outline.kind !== 'cylinder';
    const clear = clearOf(piece, hole, headline.bit.diameterMm);
    expect(clear === null).toBe(isBuilding || !flat);
    if (clear !== null) {
      const { widthMm = 0, heightMm = 0 } = piece.outline as {
        widthMm?: number;
        heightMm?: number;
      };
      const nearest = Math.min(hole.xMm, hole.yMm, widthMm - hole.xMm, heightMm - hole.yMm);
      close(clear, Math.max(0, nearest - headline.bit.diameterMm / 2));
    }
    const handled = handlingCase(crackCase);
    expect(handled).toMatchObject({
      hold: setup.hold,
      start: setup.start,
      assembled: piece.assembled === true,
      abrasive: BIT_FAMILIES[headline.bit.family].abrasive,
      masonry: headline.material.class === 'masonry',
      unsure: false,
      damage: 'none',
    });
    expect(handled.sheetThicknessMm).toBe(sheetThickness(piece));
    expect(sheetThickness(piece) === null).toBe(piece.form !== 'sheet' && piece.form !== 'vessel');
    expect(crackCase.exitForceN).toBe(exit && setup.sides !== 'two' ? exit.exitForceN : 0);
    return sites.some(({ kind }) => kind === 'web');
  });
  expect(webs).toBeGreaterThan(20);
});

it('puts the clock to what happens: in order, each after what went before it, to the end of the plan', () => {
  const ended = asked((context) => {
    const moments = timelineOf(context);
    const times = moments.map(({ atS }) => atS);
    if (context.time.spread === null) return false;
    for (const side of [1, 2]) {
      const mine = moments.filter((moment) => moment.side === side);
      mine.slice(1).forEach((moment, index) => {
        const before = mine[index];
        expect(moment.depthMm).toBeGreaterThanOrEqual(before?.depthMm ?? Infinity);
        expect((moment.atS ?? NaN) + 1e-6).toBeGreaterThanOrEqual(
          (before?.atS ?? NaN) + (before?.haltS ?? 0),
        );
      });
    }
    expect(times.every((atS) => atS !== null)).toBe(true);
    const last = moments.at(-1);
    expect(last?.kind).toBe('end');
    close(last?.atS ?? NaN, context.time.spread.p50);
    return true;
  });
  expect(ended).toBeGreaterThan(200);
});

it('warns of what is beyond its bounds, and of nothing else', () => {
  const bounds = {
    polishes: ({ headline, time }: PlanContext) =>
      time.spread !== null && headline.force.contactPressureMpa < headline.window.pressureMpa.glaze,
    'does-not-cut': ({ time }: PlanContext) => time.spread === null,
    'presses-too-hard': ({ headline, time }: PlanContext) =>
      time.spread !== null && headline.force.contactPressureMpa > headline.window.pressureMpa.high,
    'speed-above-window': ({ headline }: PlanContext) => headline.speed.outsideWindow === 'above',
    'speed-below-window': ({ headline }: PlanContext) => headline.speed.outsideWindow === 'below',
    'bit-worn': ({ headline }: PlanContext) => headline.sharpness < 0.5,
    overheats: ({ headline, thermalStressMpa }: PlanContext) =>
      thermalStressMpa > headline.material.edgeStrengthMpa / 2,
    'boils-dry': ({ boiling }: PlanContext) => boiling === 'film',
    'torque-limited': ({ headline }: PlanContext) => headline.force.limitedBy === 'torque',
    'power-limited': ({ headline }: PlanContext) => headline.force.limitedBy === 'power',
    'force-beyond-arms': ({ headline }: PlanContext) => headline.force.limitedBy === 'arms',
    'extension-needed': ({ passes, setup }: PlanContext) =>
      passes.extensionMm > 0 && !setup.finishing.geometry.solid,
    'bit-too-short': ({ passes, setup }: PlanContext) =>
      passes.extensionMm > 0 && setup.finishing.geometry.solid,
    'exit-force-below-glaze': ({ exit }: PlanContext) => exit?.belowGlaze === true,
    'chip-wider-than-allowed': ({ exit, chip }: PlanContext) =>
      exit !== null && chip !== null && !exit.belowGlaze && chip.p50 > 1.001 * exit.allowedChipMm,
    'bends-too-far': () => false,
    'material-not-sure': () => false,
    'purpose-clash': () => false,
    'bit-outside-fit': () => false,
    'bit-off-size': () => false,
  } as const;
  const seen = new Set<string>();
  for (const context of CONTEXTS) {
    const warned = new Set<string>(warningsOf(context));
    for (const [code, arises] of Object.entries(bounds)) {
      expect([code, warned.has(code)]).toEqual([code, arises(context)]);
      if (warned.has(code)) seen.add(code);
    }
    expect(cutDiameter(context)).toBe(
      context.setup.finishing.geometry.diameterMm + (context.setup.finishing.bit.runOutMm ?? 0),
    );
  }
  // Random jobs come upon most of them.
  expect(seen.size).toBeGreaterThan(10);
});

it('prints what it has worked out', () => {
  for (const context of CONTEXTS) {
    const { headline, time, crack, bitLife, stages } = context;
    const plan = planNumbers(context);
    expect(plan).toMatchObject({
      rpm: headline.speed.rpm,
      feedForceN: headline.force.feedForceN,
      rateMmPerS: headline.rateMmPerS,
      drillTimeS: time.spread,
      altogetherS: time.altogether,
      torqueNm: headline.force.torqueNm,
      powerW: headline.force.powerW,
      crackProbability: crack.total,
      totalStressMpa: crack.stressMpa,
      stressLimitMpa: crack.limitMpa,
      exitForceN: context.exit?.exitForceN ?? null,
      bitLife,
      easeOffAtMm: stages.find(({ kind }) => kind === 'exit')?.fromMm ?? null,
      clock: { sd: time.sd, bitSwapS: BIT_SWAP_S, restShare: time.restShare },
    });
    const area = headline.contact.contactAreaMm2;
    close(plan.forceWindowN.glaze, headline.window.pressureMpa.glaze * area);
    close(plan.forceWindowN.low, headline.window.pressureMpa.low * area);
    close(plan.forceWindowN.high, headline.window.pressureMpa.high * area);
  }
});

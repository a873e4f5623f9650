import { caseWith, type JobParts } from '../../setup/jobFixtures';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import { METRIC } from '../../data/unitSystem';
import { cuttingTorque } from '../../physics/cutting/feedForce';
import { rimSpeedAt } from '../../physics/cutting/contact';
import { logTicks, pointInNumbers, pointInWords } from '../../words/advice/windowWords';
import { areaAt, marginsAt, windowCase } from '../../setup/windowMargins';
import { WINDOW_AREAS } from '../../setup/windowAreas';
import { workingWindow } from './workingWindow';

const contextWith = (parts: JobParts = {}): PlanContext => {
  const worked = contextOf(caseWith(parts));
  if (worked.kind === 'faulty') throw new Error(JSON.stringify(worked.faults));
  return worked.context;
};

it('draws the areas where the inequalities themselves say', () => {
  const context = contextWith({
    machine: {
      id: 'free',
      name: 'Weak drill',
      kind: 'cordless-drill',
      speeds: { kind: 'range', minRpm: 100, maxRpm: 6000 },
      stallTorqueNm: 0.5,
    },
  });
  const { headline } = context;
  const { window, contact, material } = headline;
  const grid = workingWindow(context, 60);
  for (let row = 0; row < 60; row++) {
    for (let column = 0; column < 60; column++) {
      const rpm = grid.rpm[column] ?? 0;
      const F = grid.forceN[row] ?? 0;
      const p = F / contact.contactAreaMm2;
      const v = rimSpeedAt(rpm, 25);
      const wrong = {
        glazes: p < window.pressureMpa.glaze,
        chips: p > window.pressureMpa.high,
        'throws-water': v > 2.5,
        stalls: cuttingTorque(material.friction, F, contact.meanRadiusMm) > 0.25,
        'beyond-hands': F > 250,
        'too-slow': v < window.rimSpeedMPerS.low,
        'too-fast': v > window.rimSpeedMPerS.high,
      };
      for (const [area, outside] of Object.entries(wrong)) {
        const margin = grid.margins[area as keyof typeof wrong][row * 60 + column] ?? 0;
        expect({ area, rpm, F, outside: margin < 0 }).toEqual({ area, rpm, F, outside });
      }
    }
  }
});

it('puts the plan in the clean, and says what lies nearest', () => {
  const { plan } = workingWindow(contextWith(), 20);
  expect(plan.area).toBe('clean');
  expect(plan.margin).toBeGreaterThan(0);
  expect(WINDOW_AREAS).toContain(plan.nearest);
});

it('overheats dry where it does not wet', () => {
  const wet = windowCase(contextWith());
  const dry = windowCase(contextWith({ setup: { water: { kind: 'none' } } }));
  expect(marginsAt(wet, 917, 26).overheats).toBeGreaterThan(0);
  expect(areaAt(marginsAt(dry, 917, 26))).toBe('overheats');
});

it('knows no arms in a press', () => {
  const { margins } = workingWindow(contextWith({ setup: { hold: 'press' } }), 10);
  expect(Math.min(...margins['beyond-hands'])).toBe(9);
});

it('draws no finer than it can', () => {
  expect(() => workingWindow(contextWith(), 401)).toThrow('401');
});

it('says where a point lies, and puts round numbers on the axes', () => {
  const { plan, diameterMm, contactAreaMm2 } = workingWindow(contextWith(), 20);
  expect(pointInWords(plan)).toMatch(
    /^Cuts clean, (well inside|with room|but only just)\. The nearest/,
  );
  expect(pointInWords({ ...plan, area: 'glazes', margin: -1 })).toMatch(/^Glazes\. Too light/);
  expect(pointInNumbers(plan, { diameterMm, contactAreaMm2 }, METRIC)).toBe(
    '917 rpm and 26 N: 1.2 m/s at the rim, 0.35 MPa.',
  );
  expect(logTicks(180, 5200)).toEqual([200, 500, 1000, 2000, 5000]);
});

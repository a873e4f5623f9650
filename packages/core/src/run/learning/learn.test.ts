import { writeRun } from '../runFixtures';
import type { LogRatio } from '../../documents/experience';
import { chipBounds, learn } from './learn';
import type { Target } from './mixedModel';
import { loggedRun, type LoggedHole } from './loggedHole';

const NOW = new Date('2026-06-01T00:00:00Z');
const ASKED: Target = {
  material: 'slate',
  family: 'sintered-core',
  bit: 'b',
  person: 'Ada',
  sheet: null,
  holesBefore: 4,
};
const PLANNED = {
  plannedS: { p10: 60, p50: 120, p90: 240 },
  plannedChipMm: { p50: 0.6, p90: 1.4 },
  plannedCrack: 0.04,
};
const times = (ratio: LogRatio | null): number => Math.exp(ratio?.mean ?? NaN);
const logged = (i: number, more: Partial<LoggedHole> = {}): LoggedHole => ({
  ...ASKED,
  ...PLANNED,
  id: `run ${i}`,
  at: '2026-05-01T09:00:00Z',
  takenS: 120,
  share: 1,
  cracked: false,
  exitChipMm: null,
  practice: false,
  doubts: [],
  ...more,
});
const many = (count: number, more: (i: number) => Partial<LoggedHole>): LoggedHole[] =>
  Array.from({ length: count }, (_, i) => logged(i, more(i)));

it('reads a chip held beside the sizes as lying between the middles to its neighbours', () => {
  expect(chipBounds(0)).toEqual([0, 0.15]);
  expect(chipBounds(0.6)[0]).toBeCloseTo(Math.sqrt(0.3 * 0.6), 9);
  expect(chipBounds(0.6)[1]).toBeCloseTo(Math.sqrt(0.6 * 1), 9);
  expect(chipBounds(3)[1]).toBe(Infinity);
  expect(chipBounds(0.8)).toEqual([0.8 * 0.9, 0.8 * 1.1]);
});

it('learns wider chips, and narrower ones from those that have none', () => {
  const chip = (exitChipMm: number): number =>
    times(
      learn(
        many(20, () => ({ exitChipMm })),
        NOW,
      ).factors(ASKED).chip,
    );
  expect(chip(2)).toBeGreaterThan(1.7);
  expect(chip(0.6)).toBeCloseTo(1, 1);
  expect(chip(0)).toBeLessThan(0.5);
});

it('counts practice for times, not for breaking', () => {
  const broken = (practice: boolean) =>
    learn(
      many(20, (i) => ({ practice, cracked: i % 2 === 0, takenS: 200 })),
      NOW,
    ).factors(ASKED);
  expect(broken(true).hazard).toBeNull();
  expect(times(broken(false).hazard)).toBeGreaterThan(4);
  expect(broken(true).time?.mean).toBeCloseTo(broken(false).time?.mean ?? NaN, 6);
  expect(times(broken(true).time)).toBeGreaterThan(1.25);
});

it('marks what cannot be, and learns as if it were not there', () => {
  const sound = many(12, (i) => ({ takenS: 100 + 10 * i }));
  const doubtful = [
    logged(0),
    logged(20, { at: '2027-01-01T00:00:00Z' }),
    logged(21, { takenS: 1e6 }),
    logged(22, { doubts: ['contradicts'] }),
  ];
  const { runs, used, doubted, factors } = learn([...sound, ...doubtful], NOW);
  expect([runs, used]).toEqual([16, 12]);
  expect(doubted.map(({ doubts }) => doubts.join())).toEqual([
    'twice',
    'future',
    'absurd',
    'contradicts',
  ]);
  expect(factors(ASKED)).toEqual(learn(sound, NOW).factors(ASKED));
});

it('says how often its bands held, and nothing of too few', () => {
  expect(
    learn(
      many(5, () => ({})),
      NOW,
    ).calibration,
  ).toEqual({ timeBand80: null, n: 5 });
  const even = learn(
    many(40, (i) => ({ takenS: 100 + i })),
    NOW,
  );
  expect(even.calibration.n).toBe(40);
  expect(even.calibration.timeBand80).toBeGreaterThan(0.7);
});

it('takes a run of the log for what was planned and what came of it, and none that is under way', () => {
  const { at, events } = writeRun();
  at(1, { kind: 'start' });
  expect(loggedRun('r', events)).toBeNull();
  at(61, { kind: 'crack' });
  expect(loggedRun('r', events)).toMatchObject({
    id: 'r',
    material: 'float-glass',
    family: 'plated-cup-saw',
    bit: 'cup25',
    holesBefore: 0,
    cracked: true,
    exitChipMm: null,
  });
});

import type { FromLog } from '../../documents/plan';
import { fromLogText } from './fromLogText';

const LOG: FromLog = {
  hash: 'abc',
  at: '2026-05-01T00:00:00Z',
  holes: 20,
  alike: 14,
  times: 1.6,
  hazardSd: null,
  asNew: {
    drillTimeS: { p10: 120, p50: 240, p90: 480 },
    exitChipMm: null,
    crackProbability: 0.01,
  },
};

it('says how many holes it goes by, and what they change', () => {
  expect(fromLogText({ fromLog: LOG })).toBe(
    'By 14 holes of yours like this: 1.6 times the 4 min that are calculated.',
  );
  expect(fromLogText({ fromLog: { ...LOG, alike: 0, times: 1.01 } })).toBe(
    'None like this in your log; by 20 other holes: about the 4 min that are calculated.',
  );
  expect(fromLogText({ fromLog: null })).toBeNull();
});

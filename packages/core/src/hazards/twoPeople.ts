import type { Hazard, Judged } from './gate';
import { formatSignificant } from '../units/roundNumber';

/** What one person presses with for the length of a hole, N, and lifts out, kg. */
const ALONE_N = 250;
const ALONE_KG = 20;
const TWO_HANDS_NM = 20;
const BIG_WET_MM = 100;

/** Torque, weight or water that one person does not hold alone. */
export const twoPeople: Hazard<'two-people'> = {
  code: 'two-people',
  title: 'A job for two',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.hold, Math.round(work.bitDiameterMm)],
  judge: ({ work }): Judged | null => {
    const byHand = work.hold === 'freehand' || work.hold === 'guided';
    const why =
      byHand && work.feedForceN > ALONE_N
        ? `pressing with ${formatSignificant(work.feedForceN, 2)} N`
        : byHand && work.jamTorqueNm > TWO_HANDS_NM
          ? `holding ${formatSignificant(work.jamTorqueNm, 2)} N·m when it jams`
          : work.coreMassKg > ALONE_KG
            ? `lifting a core of ${formatSignificant(work.coreMassKg, 2)} kg`
            : byHand && work.coolantId === 'spindle' && work.bitDiameterMm >= BIG_WET_MM
              ? 'drill, water and the depth mark at once'
              : null;
    return why === null
      ? null
      : {
          level: 'confirm',
          message: `One person is not enough for ${why}. The second watches water and depth.`,
          answers: [
            { code: 'two-here', label: 'There are two of us' },
            { code: 'aid-used', label: 'A stand or feed aid takes it' },
          ],
        };
  },
};

import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import { formatForce } from '../../words/units/formatQuantity';
import { MOST_UNAIDED_N } from '../../physics/effort/armForce';
import { TWO_HANDS_NM } from '../../physics/effort/handLimits';
import { formatSignificant } from '../../words/units/roundNumber';

/** What one person lifts out of a hole, kg. */
const ALONE_KG = 20;
const BIG_WET_MM = 100;

/** Torque, weight or water that one person does not hold alone. */
export const twoPeople: Hazard<'two-people'> = {
  code: 'two-people',
  title: 'A job for two',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.hold, Math.round(work.bitDiameterMm)],
  judge: ({ work, units }): Judged | null => {
    const byHand = work.hold === 'freehand' || work.hold === 'guided';
    const why =
      byHand && work.feedForceN > MOST_UNAIDED_N
        ? `pressing with ${formatForce(work.feedForceN, units)}`
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

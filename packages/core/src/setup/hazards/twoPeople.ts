import { isByHand } from '../../data/holds';
import { defineHazard } from './hazard';
import { MAX_UNAIDED_N } from '../../physics/effort/armForce';
import { TWO_HANDS_NM } from '../../physics/effort/handLimits';

/** What one person lifts out of a hole, kg. */
const ALONE_KG = 20;
const BIG_WET_MM = 100;

/** Torque, weight or water that one person does not hold alone. */
export const twoPeople = defineHazard({
  code: 'two-people',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.hold, Math.round(work.bitDiameterMm)],
  judge: ({ work }) => {
    const byHand = isByHand(work.hold);
    const { feedForceN, jamTorqueNm, coreMassKg } = work;
    const found =
      byHand && feedForceN > MAX_UNAIDED_N
        ? 'pressing'
        : byHand && jamTorqueNm > TWO_HANDS_NM
          ? 'holding'
          : coreMassKg > ALONE_KG
            ? 'lifting'
            : byHand && work.coolantId === 'spindle' && work.bitDiameterMm >= BIG_WET_MM
              ? 'three-things'
              : null;
    return found === null
      ? null
      : {
          level: 'confirm',
          found,
          feedForceN,
          jamTorqueNm,
          coreMassKg,
          answers: [{ code: 'two-here' }, { code: 'aid-used' }],
        };
  },
});

import { isByHand } from '../../data/holds';
import { defineHazard } from './hazard';
import { ONE_HAND_NM, TWO_HANDS_NM } from '../../physics/effort/handLimits';

/** What the hands must hold when the bit jams. */
export const kickback = defineHazard({
  code: 'kickback',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.hold, work.hasClutch, Math.round(work.jamTorqueNm)],
  judge: ({ work: { hold, jamTorqueNm, machineKind, hasClutch } }) => {
    const byHand = isByHand(hold);
    if (!byHand || jamTorqueNm <= ONE_HAND_NM)
      return byHand && machineKind === 'angle-grinder'
        ? { level: 'confirm', found: 'grinder', answers: [{ code: 'limit-and-two-hands' }] }
        : null;
    return !hasClutch && jamTorqueNm > TWO_HANDS_NM
      ? { level: 'stop', found: 'beyond-hands', jamTorqueNm, handsNm: TWO_HANDS_NM, answers: [] }
      : {
          level: 'confirm',
          found: hasClutch ? 'clutch' : 'no-clutch',
          jamTorqueNm,
          answers: [{ code: 'handle-and-stance' }],
        };
  },
});

import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import { ONE_HAND_NM, TWO_HANDS_NM } from '../../physics/effort/handLimits';
import { formatSignificant } from '../../words/units/roundNumber';

const grinder: Judged = {
  level: 'confirm',
  message:
    'A core bit on an angle grinder: only within the bit’s own speed limit, both hands on it, and someone else on the water.',
  answers: [{ code: 'limit-and-two-hands', label: 'Within the limit, two hands, helper on water' }],
};

/** What the hands must hold when the bit jams. */
export const kickback: Hazard<'kickback'> = {
  code: 'kickback',
  title: 'If it jams',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.hold, work.hasClutch, Math.round(work.jamTorqueNm)],
  judge: ({ work }): Judged | null => {
    const byHand = work.hold === 'freehand' || work.hold === 'guided';
    if (!byHand || work.jamTorqueNm <= ONE_HAND_NM) {
      return byHand && work.machineKind === 'angle-grinder' ? grinder : null;
    }
    const jam = `${formatSignificant(work.jamTorqueNm, 2)} N·m`;
    if (!work.hasClutch && work.jamTorqueNm > TWO_HANDS_NM) {
      return {
        level: 'stop',
        message: `Jammed, this machine twists with ${jam} and no clutch slips; two hands hold about ${TWO_HANDS_NM} N·m. Put it on a stand, or use one with a slip clutch.`,
        answers: [],
      };
    }
    return {
      level: 'confirm',
      message: `Jammed, it twists with ${jam}. Side handle on, both hands, feet apart, elbow not behind the drill${work.hasClutch ? ', slip clutch at its lowest setting that works' : ''}.`,
      answers: [
        {
          code: 'handle-and-stance',
          label: work.hasClutch ? 'Side handle, stance, clutch set' : 'Side handle and stance',
        },
      ],
    };
  },
};

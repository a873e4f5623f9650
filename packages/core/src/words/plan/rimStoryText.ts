import { formatDuration, formatTempRise } from '../units/formatQuantity';
import type { UnitSystem } from '../../data/unitSystem';
import type { RimStory } from '../../advice/risk/rimStory';

/** How hot the ring runs, what a dry spell does, how long it takes to come back, and what it bears. */
export function rimStoryText(story: RimStory, units: UnitSystem): string {
  const { maxWetK, maxDryK, dryForS, recoveryS, limitK } = story;
  const back =
    recoveryS === null
      ? 'It does not come back before the end.'
      : `With the water back it takes ${formatDuration(recoveryS)} to recover.`;
  const bears =
    limitK === null
      ? 'Heat does not crack this material; it wears the bit.'
      : maxDryK > limitK
        ? `The allowable stress is reached at ${formatTempRise(limitK, units)}: such a spell passes it. Stop, lift, let it cool; do not quench it.`
        : `The allowable stress is reached at ${formatTempRise(limitK, units)}: it stands such a spell.`;
  return `Wet, the ring runs ${formatTempRise(maxWetK, units)} above the water at most. ${formatDuration(dryForS)} without water takes it to ${formatTempRise(maxDryK, units)}. ${back} ${bears}`;
}

import type { RunOutcome } from '@nucleon/core/run/runOutcome';
import CircleAlert from 'lucide-react-native/icons/circle-alert';
import CircleCheck from 'lucide-react-native/icons/circle-check';
import CircleDot from 'lucide-react-native/icons/circle-dot';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import type { LucideIcon } from 'lucide-react-native';
import type { Palette } from '../../ui/palette';

/** How a run came out, by shape and tone beside its word. */
export const OUTCOME_LOOKS = {
  'under-way': [CircleDot, 'water'],
  'no-result': [CircleDot, 'muted'],
  fine: [CircleCheck, 'fine'],
  usable: [CircleCheck, 'caution'],
  spoiled: [OctagonX, 'stop'],
  cracked: [OctagonX, 'stop'],
  'given-up': [CircleAlert, 'caution'],
} as const satisfies Record<RunOutcome, readonly [LucideIcon, keyof Palette]>;

import type { WayToHaveIt } from '@nucleon/core/advice/choice/hireOrBuy';
import { useTheme } from '@tamagui/core';

/** Told apart by dash as well as by colour. */
export const LINE_DASHES: Readonly<Record<WayToHaveIt, readonly number[] | null>> = {
  'cheap-bit': null,
  'good-bit': [10, 4],
  'hired-rig': [3, 4],
  'ordered-in': [12, 4, 3, 4],
};

export function useLineTones(): Readonly<Record<WayToHaveIt, string>> {
  const theme = useTheme();
  return {
    'cheap-bit': theme.rim.val,
    'good-bit': theme.water.val,
    'hired-rig': theme.ink.val,
    'ordered-in': theme.fine.val,
  };
}

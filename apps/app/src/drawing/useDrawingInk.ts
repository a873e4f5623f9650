import { useTheme } from '@tamagui/core';
import { useThemeName } from '../features/display/displayStore';
import { BODIES } from '../ui/palette';
import type { Ink } from './place';

/** The colours of a drawing in the theme at hand: fills by tone, edges, and the wet line. */
export function useDrawingInk(): {
  readonly ink: Ink;
  readonly edge: string;
  readonly wet: string;
} {
  const theme = useTheme();
  const bodies = BODIES[useThemeName()];
  const ink: Ink = (tone) => {
    if (tone === 'water') return bodies.bath;
    if (tone === 'void') return theme.ground.val;
    if (tone in bodies) return bodies[tone as keyof typeof bodies];
    return theme[tone as 'ink' | 'muted' | 'rim' | 'caution'].val;
  };
  return { ink, edge: theme.ink.val, wet: theme.water.val };
}

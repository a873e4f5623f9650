import { useTheme } from '@tamagui/core';
import type { LucideIcon } from 'lucide-react-native';
import type { Palette } from './palette';

/** An icon of the one set, always beside a word. */
export function Icon({
  of: Glyph,
  tone = 'ink',
  size = 20,
}: {
  readonly of: LucideIcon;
  readonly tone?: keyof Palette;
  readonly size?: number;
}) {
  const theme = useTheme();
  return <Glyph size={size} color={theme[tone].val} aria-hidden strokeWidth={2} />;
}

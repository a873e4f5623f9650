import { createFont, createTamagui, createTokens } from '@tamagui/core';
import { DARK, LIGHT, type Palette } from './palette';

/** One scale for text: numbers on the plan are read at arm's length. */
export const SIZES = { 1: 13, 2: 15, 3: 17, 4: 20, 5: 26, 6: 36, 7: 48, true: 17 };
export const LINES = { 1: 18, 2: 21, 3: 24, 4: 26, 5: 31, 6: 40, 7: 52, true: 24 };

/** Each weight is a family of its own: the browser is not to thicken strokes by guess. */
const fontOf = (family: string) =>
  createFont({
    family,
    size: SIZES,
    lineHeight: LINES,
    weight: { true: '400' },
    letterSpacing: { true: 0 },
  });

const tokens = createTokens({
  size: { 0: 0, touch: 48, true: 48 },
  space: { 0: 0, 1: 4, 2: 8, 3: 12, 4: 16, 5: 24, 6: 32, true: 16 },
  radius: { 0: 0, 1: 2, true: 2 },
  zIndex: { 0: 0, bar: 10, over: 100, true: 0 },
  color: { transparent: 'transparent' },
});

const theme = (palette: Palette) => ({
  ...palette,
  background: palette.ground,
  color: palette.ink,
  borderColor: palette.line,
});

export const config = createTamagui({
  tokens,
  themes: { light: theme(LIGHT), dark: theme(DARK) },
  fonts: {
    body: fontOf('Hyperlegible'),
    strong: fontOf('Hyperlegible-600'),
    number: fontOf('Hyperlegible-700'),
  },
  media: { wide: { minWidth: 1000 }, narrow: { maxWidth: 360 } },
  settings: { onlyAllowShorthands: false, defaultFont: 'body' },
});

export type NucleonConfig = typeof config;

declare module '@tamagui/core' {
  // Tamagui reads its types from this merged interface.

  interface TamaguiCustomConfig extends NucleonConfig {}
}

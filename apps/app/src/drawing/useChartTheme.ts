import { useTheme } from '@tamagui/core';

/** A chart in the app's own colours and letters. */
export function useChartTheme() {
  const theme = useTheme();
  return {
    background: 'transparent',
    plotBackground: 'transparent',
    grid: theme.line.val,
    axis: theme.muted.val,
    text: theme.ink.val,
    mutedText: theme.muted.val,
    typography: { fontFamily: 'Hyperlegible', axisLabelSize: 13 },
  } as const;
}

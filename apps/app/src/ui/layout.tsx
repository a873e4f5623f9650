import { styled, View } from '@tamagui/core';

export const Row = styled(View, { name: 'Row', flexDirection: 'row', alignItems: 'center' });
export const Column = styled(View, { name: 'Column', flexDirection: 'column' });

/** Parts of a page: under each other where it is narrow, side by side where it is wide. */
export const Beside = styled(View, {
  name: 'Beside',
  flexDirection: 'column',
  gap: '$5',
  $wide: { flexDirection: 'row', alignItems: 'flex-start', gap: '$6' },
});

/** One of the parts; both are as wide. */
export const Half = styled(View, {
  name: 'Half',
  flexDirection: 'column',
  minWidth: 0,
  gap: '$5',
  $wide: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
});

/** As wide as a page with parts side by side may be. */
export const WIDE_PX = 1240;

/** A surface with hairlines and one wet edge. */
export const Panel = styled(View, {
  name: 'Panel',
  backgroundColor: '$surface',
  borderWidth: 1,
  borderColor: '$line',
  borderRadius: '$1',
  variants: {
    wet: { true: { borderBottomWidth: 3, borderBottomColor: '$water' } },
  } as const,
});

export const Hairline = styled(View, {
  name: 'Hairline',
  height: 1,
  backgroundColor: '$line',
  alignSelf: 'stretch',
});

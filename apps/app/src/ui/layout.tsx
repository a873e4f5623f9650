import { styled, View } from '@tamagui/core';

export const Row = styled(View, { name: 'Row', flexDirection: 'row', alignItems: 'center' });
export const Column = styled(View, { name: 'Column', flexDirection: 'column' });

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

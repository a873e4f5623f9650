import { styled, View } from '@tamagui/core';

/** A real button without looks of its own: keyboard, focus ring and a thumb's height. */
export const Press = styled(View, {
  name: 'Press',
  render: 'button',
  role: 'button',
  flexDirection: 'row',
  alignItems: 'center',
  minHeight: '$touch',
  borderWidth: 0,
  padding: 0,
  backgroundColor: 'transparent',
  borderRadius: '$1',
  cursor: 'pointer',
  focusVisibleStyle: {
    outlineWidth: 3,
    outlineStyle: 'solid',
    outlineColor: '$water',
    outlineOffset: 1,
  },
  variants: {
    disabled: { true: { opacity: 0.5, cursor: 'default' } },
  } as const,
});

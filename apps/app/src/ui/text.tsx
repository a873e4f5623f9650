import { styled, Text } from '@tamagui/core';

/** Running text. */
export const Body = styled(Text, {
  name: 'Body',
  color: '$ink',
  fontFamily: '$body',
  fontSize: '$3',
  lineHeight: '$3',
});

/** One line of why, notes, units. */
export const Small = styled(Text, {
  name: 'Small',
  color: '$muted',
  fontFamily: '$body',
  fontSize: '$2',
  lineHeight: '$2',
});

/** Names of fields and figures. */
export const Label = styled(Text, {
  name: 'Label',
  color: '$muted',
  fontFamily: '$strong',
  fontSize: '$2',
  lineHeight: '$2',
});

export const Strong = styled(Text, {
  name: 'Strong',
  color: '$ink',
  fontFamily: '$strong',
  fontSize: '$3',
  lineHeight: '$3',
});

export const Heading = styled(Text, {
  name: 'Heading',
  color: '$ink',
  fontFamily: '$strong',
  fontSize: '$4',
  lineHeight: '$4',
  role: 'heading',
});

export const Title = styled(Text, {
  name: 'Title',
  color: '$ink',
  fontFamily: '$number',
  fontSize: '$5',
  lineHeight: '$5',
  role: 'heading',
});

/** Big plain numbers, figures of one width so that they do not dance as the plan follows. */
export const Numeral = styled(Text, {
  name: 'Numeral',
  color: '$ink',
  fontFamily: '$number',
  fontSize: '$6',
  lineHeight: '$6',
  fontVariant: ['tabular-nums'],
});

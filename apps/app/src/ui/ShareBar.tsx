import { View } from '@tamagui/core';
import { Column, Row } from './layout';
import { Small, Strong } from './text';

interface ShareBarProps {
  readonly label: string;
  /** 0 to 1. */
  readonly share: number;
  /** The share as it is said: `62 in 100`. */
  readonly text: string;
  readonly strong?: boolean;
}

/** One of several shares: its name, a bar of water, and the number in words. */
export function ShareBar({ label, share, text, strong = false }: ShareBarProps) {
  return (
    <Column gap="$1" aria-label={`${label}: ${text}`} role="img">
      <Row justifyContent="space-between" gap="$3">
        {strong ? <Strong flexShrink={1}>{label}</Strong> : <Small flexShrink={1}>{label}</Small>}
        <Small color="$ink" fontVariant={['tabular-nums']} flexShrink={0}>
          {text}
        </Small>
      </Row>
      <View height={strong ? 10 : 6} backgroundColor="$raised">
        <View
          height={strong ? 10 : 6}
          width={`${Math.round(share * 1000) / 10}%`}
          backgroundColor="$water"
        />
      </View>
    </Column>
  );
}

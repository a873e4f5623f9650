import type { TimeSpread } from '@nucleon/core/documents/plan';
import { View } from '@tamagui/core';
import { Row } from '../../ui/layout';

/** A quarter as long stands at the left, four times at the right. */
const ENDS = 4;
const at = (times: number): number =>
  Math.min(1, Math.max(0, 0.5 + Math.log(times) / (2 * Math.log(ENDS))));
const percent = (share: number): `${number}%` => `${100 * share}%`;

/** A band on a scale of ratios, its middle marked; the line in the middle is what is calculated. */
export function BandBar({ rate }: { readonly rate: TimeSpread }) {
  const [from, to] = [at(rate.p10), at(rate.p90)];
  return (
    <Row height={16} alignSelf="stretch" position="relative" aria-hidden>
      <View position="absolute" left={0} right={0} top={7} height={2} backgroundColor="$line" />
      <View
        position="absolute"
        left={percent(from)}
        width={percent(Math.max(0.01, to - from))}
        top={4}
        height={8}
        backgroundColor="$water"
        borderRadius={2}
      />
      <View
        position="absolute"
        left={percent(at(rate.p50))}
        top={1}
        width={3}
        height={14}
        backgroundColor="$ink"
      />
      <View position="absolute" left="50%" top={0} width={1} height={16} backgroundColor="$rim" />
    </Row>
  );
}

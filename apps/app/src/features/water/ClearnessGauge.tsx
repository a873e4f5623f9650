import { waterWords } from '@nucleon/core/words/screens/water';
import { cloudingText } from '@nucleon/core/words/advice/waterAdvice';
import { type Clouding } from '@nucleon/core/advice/choice/clouding';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import { View } from '@tamagui/core';
import { Column, Row } from '../../ui/layout';
import { BODIES, LIGHT } from '../../ui/palette';
import { Small } from '../../ui/text';

/** Water and a dark mark as they look on the bench, whatever the theme: light fines hide both. */
const WATER = BODIES.light.bath;
const MARK = LIGHT.ink;

/** Cells of water, each a hole cloudier, in the colour these fines give it. */
export function ClearnessGauge({
  clouding,
  finesColour,
}: {
  readonly clouding: readonly Clouding[];
  readonly finesColour: string;
}) {
  const said = cloudingText(clouding);
  return (
    <Column gap="$2" role="img" aria-label={said} testID="clearness">
      <Row gap="$1" alignItems="flex-start">
        {clouding.map(({ holes, light, isClear }) => (
          <Column key={holes} flex={1} gap="$1" alignItems="center">
            <View
              position="relative"
              height={44}
              alignSelf="stretch"
              backgroundColor={WATER}
              borderWidth={isClear ? 1 : 2}
              borderColor={isClear ? '$line' : '$caution'}
              alignItems="center"
              justifyContent="center"
            >
              <View
                position="absolute"
                top={0}
                bottom={0}
                left={0}
                right={0}
                backgroundColor={finesColour}
                opacity={1 - light}
              />
              <View
                width={14}
                height={14}
                borderRadius={7}
                borderWidth={2}
                borderColor={MARK}
                opacity={light}
              />
            </View>
            <Small fontSize="$1" lineHeight="$1">
              {formatDecimals(light * 100, 0)}
            </Small>
          </Column>
        ))}
      </Row>
      <Small>{waterWords.eachCellIsOne(said)}</Small>
    </Column>
  );
}

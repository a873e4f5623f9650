import { purposeWords } from '@nucleon/core/words/screens/purpose';
import type { BitForPurpose } from '@nucleon/core/advice/choice/bitsForPurpose';
import type { DescribedBitsForPurpose } from '@nucleon/core/words/advice/bitsForPurposeInWords';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import CircleCheck from 'lucide-react-native/icons/circle-check';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Heading, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { PurposeDraft } from './usePurpose';

const LOOKS = {
  covered: { icon: CircleCheck, tone: 'fine', word: purposeWords.fits },
  'no-exit': { icon: CircleCheck, tone: 'fine', word: purposeWords.fits },
  'nothing-covers': { icon: CircleCheck, tone: 'fine', word: purposeWords.fits },
  tight: { icon: TriangleAlert, tone: 'caution', word: purposeWords.onlyJust },
  'not-covered': { icon: OctagonX, tone: 'stop', word: purposeWords.rejected },
} as const satisfies Record<BitForPurpose['verdict'], object>;

/** Owned bits within the range, with what their chips come to, and the nearest misses. */
export function BitRows({
  bits,
  purpose,
}: {
  readonly bits: DescribedBitsForPurpose;
  readonly purpose: PurposeDraft;
}) {
  const units = useUnits();
  const size = (mm: number): string => formatLengthShort(mm, units);
  return (
    <Column padding="$4" gap="$2" testID="fit-bits">
      <Heading aria-level={2}>{purposeWords.yourBits}</Heading>
      {bits.fitting.length === 0 ? <Small>{purposeWords.noneYouOwnCuts}</Small> : null}
      {bits.fitting.map(({ bit, verdict, text, holeMm }) => {
        const { icon, tone, word } = LOOKS[verdict];
        const picked = purpose.pickedBit === bit.id;
        return (
          <Press
            key={bit.id}
            role="radio"
            aria-checked={picked}
            aria-label={`${bit.name}: ${word}. ${text}`}
            onPress={() => {
              purpose.pickBit(picked ? null : bit.id);
            }}
            borderWidth={1}
            borderBottomWidth={picked ? 3 : 1}
            borderColor={picked ? '$water' : '$line'}
            backgroundColor={picked ? '$waterWash' : '$surface'}
            padding="$3"
            gap="$3"
            alignItems="flex-start"
            testID={`fit-bit-${bit.name}`}
          >
            <Icon of={icon} tone={tone} />
            <Column flex={1} alignItems="flex-start">
              <Strong textAlign="left">
                {bit.name} · {size(holeMm)}
              </Strong>
              <Small textAlign="left" color={`$${tone}`}>
                {word}
              </Small>
              <Small textAlign="left">{text}</Small>
            </Column>
          </Press>
        );
      })}
      {bits.misses.map(({ bit, holeMm, text }) => (
        <Row key={bit.id} justifyContent="space-between" gap="$3">
          <Small flexShrink={1}>
            {bit.name} · {size(holeMm)}
          </Small>
          <Small color="$ink" textAlign="right">
            {text}
          </Small>
        </Row>
      ))}
    </Column>
  );
}

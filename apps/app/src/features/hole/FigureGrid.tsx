import { holeWords } from '@nucleon/core/words/screens/hole';
import type { Figure } from '@nucleon/core/words/plan/figures';
import { useState } from 'react';
import { Column, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Label, Numeral, Small, Strong } from '../../ui/text';

interface FigureGridProps {
  readonly figures: readonly Figure[];
  readonly columns: 2 | 3;
  readonly small?: boolean;
}

/** Plain numbers in rows, one line of why beneath each; tap one for its working. */
export function FigureGrid({ figures, columns, small = false }: FigureGridProps) {
  const [open, setOpen] = useState<string | null>(null);
  const rows = Array.from({ length: Math.ceil(figures.length / columns) }, (_, index) =>
    figures.slice(index * columns, (index + 1) * columns),
  );
  return (
    <Column>
      {rows.map((pair) => {
        const shown = pair.find((figure) => figure.key === open);
        return (
          <Column key={pair[0]?.key} borderTopWidth={1} borderColor="$line">
            <Row alignItems="stretch">
              {pair.map((figure, index) => (
                <FigureCell
                  key={figure.key}
                  figure={figure}
                  small={small}
                  divided={index > 0}
                  open={figure.key === open}
                  onPress={() => {
                    setOpen(figure.key === open ? null : figure.key);
                  }}
                />
              ))}
              {Array.from({ length: columns - pair.length }, (_, index) => (
                <Column
                  key={index}
                  flex={1}
                  flexBasis={0}
                  borderLeftWidth={1}
                  borderColor="$line"
                />
              ))}
            </Row>
            {shown ? <Working figure={shown} /> : null}
          </Column>
        );
      })}
    </Column>
  );
}

interface FigureCellProps {
  readonly figure: Figure;
  readonly small: boolean;
  readonly divided: boolean;
  readonly open: boolean;
  readonly onPress: () => void;
}

/** Words in the place of a number, such as the name of a means of water, are set smaller. */
const WORDY = /[a-z]{3}/i;

function FigureCell({
  figure: { key, label, shown, reason },
  small,
  divided,
  open,
  onPress,
}: FigureCellProps) {
  const wordy = WORDY.test(shown.value);
  const size = small || wordy ? '$4' : '$6';
  return (
    <Press
      testID={`figure-${key}`}
      aria-expanded={open}
      aria-label={holeWords.theWorking(label, shown.value, shown.unit, reason.text, open)}
      onPress={onPress}
      flex={1}
      flexBasis={0}
      flexDirection="column"
      alignItems="flex-start"
      justifyContent="flex-start"
      padding="$3"
      paddingHorizontal="$4"
      gap={2}
      borderLeftWidth={divided ? 1 : 0}
      borderColor="$line"
      backgroundColor={open ? '$waterWash' : 'transparent'}
      hoverStyle={{ backgroundColor: '$raised' }}
    >
      <Label>{label}</Label>
      <Row alignItems="baseline" gap={6} flexWrap="wrap">
        <Numeral fontSize={size} lineHeight={size} textAlign="left">
          {shown.value}
        </Numeral>
        {shown.unit ? <Strong color="$muted">{shown.unit}</Strong> : null}
      </Row>
      <Small textAlign="left">{reason.text}</Small>
    </Press>
  );
}

function Working({ figure: { key, reason } }: { readonly figure: Figure }) {
  return (
    <Column
      padding="$4"
      paddingTop="$3"
      gap="$2"
      backgroundColor="$waterWash"
      testID={`working-${key}`}
    >
      {reason.inputs.map((input) => (
        <Row key={input.name} justifyContent="space-between" gap="$3" alignItems="flex-start">
          <Small flexShrink={1}>{input.name}</Small>
          <Small color="$ink" flexShrink={1} textAlign="right" fontVariant={['tabular-nums']}>
            {input.value}
          </Small>
        </Row>
      ))}
      <Small color="$ink">{reason.source}</Small>
      {reason.spread ? <Small>{holeWords.spread(reason.spread)}</Small> : null}
    </Column>
  );
}

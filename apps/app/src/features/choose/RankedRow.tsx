import { costReason, outcomeFigures } from '@nucleon/core/choice/outcomeWords';
import { meansInWords, type RankedSetup } from '@nucleon/core/choice/rankSetups';
import { APART_WORDS } from '@nucleon/core/couplings/apart';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

interface RankedRowProps {
  readonly place: number;
  readonly one: RankedSetup;
  /** It is what the plan uses. */
  readonly now: boolean;
  readonly onUse: () => void;
}

/** One way of making the hole with what is owned: its figures, and why it stands where it stands. */
export function RankedRow({ place, one, now, onUse }: RankedRowProps) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const reason = costReason(one.outcome);
  return (
    <Panel wet={now} padding="$4" gap="$3" testID={`ranked-${place}`}>
      <Row gap="$3" alignItems="flex-start">
        <Strong color="$muted" fontSize="$4" lineHeight="$4">
          {place}
        </Strong>
        <Column flex={1} gap="$1">
          <Strong>{meansInWords(one)}</Strong>
          <Small>{one.why}</Small>
          {one.couplings?.map((coupling) => (
            <Small key={coupling.id}>
              With {coupling.name}.{coupling.apart ? ` ${APART_WORDS[coupling.apart].text}` : ''}
            </Small>
          ))}
          {one.couplings === null ? (
            <Small>You have not said what shank it has: see that it goes in.</Small>
          ) : null}
        </Column>
      </Row>
      <Row flexWrap="wrap" alignItems="flex-start" rowGap="$3">
        {outcomeFigures(one.outcome, units).map(({ figure, name, value, note }) => (
          <Column key={figure} width="33.3%" minWidth={96} paddingRight="$2">
            <Label fontSize="$1" lineHeight="$1">
              {name}
            </Label>
            <Strong>{value}</Strong>
            <Small fontSize="$1" lineHeight="$1">
              {note}
            </Small>
          </Column>
        ))}
      </Row>
      {open ? (
        <Column gap="$2" testID={`cost-${place}`}>
          <Lines lines={reason.inputs} />
          <Small>{reason.text}</Small>
          <Small>{reason.source}</Small>
        </Column>
      ) : null}
      <Row gap="$2" flexWrap="wrap">
        {now ? (
          <Strong color="$fine" paddingVertical="$2">
            In the plan now
          </Strong>
        ) : (
          <Button
            label="Use this"
            look={place === 1 ? 'main' : 'plain'}
            onPress={onUse}
            testID={`use-${place}`}
            hint={`Use ${meansInWords(one)}`}
          />
        )}
        <Button
          label={open ? 'Hide the cost' : 'What makes the cost?'}
          look="quiet"
          onPress={() => {
            setOpen(!open);
          }}
        />
      </Row>
    </Panel>
  );
}

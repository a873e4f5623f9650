import { chooseWords } from '@nucleon/core/words/screens/choose';
import { learningWords } from '@nucleon/core/words/screens/learning';
import type { BitDue } from '@nucleon/core/run/learning/bitDue';
import { commonWords } from '@nucleon/core/words/screens/common';
import { costReason, outcomeFigures } from '@nucleon/core/words/advice/outcomeWords';
import { formatMoney } from '@nucleon/core/words/units/money';
import type { DescribedSetup } from '@nucleon/core/words/advice/rankingInWords';
import { meansInWords } from '@nucleon/core/words/advice/meansInWords';
import { COOLANTS } from '@nucleon/core/data/coolants';
import { APART_WORDS } from '@nucleon/core/data/couplings/apart';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

interface RankedRowProps {
  readonly place: number;
  readonly best: DescribedSetup;
  /** The same bit and machine with other water, best first. */
  readonly others: readonly DescribedSetup[];
  /** Whether it is what the plan uses. */
  /** When the log says to change this bit; absent where it does not yet. */
  readonly due: BitDue | undefined;
  readonly isNow: (one: DescribedSetup) => boolean;
  readonly onUse: (one: DescribedSetup) => void;
}

/** A bit and machine that make the hole: figures, why it stands where it stands, and other water for it. */
export function RankedRow({ place, best, others, due, isNow, onUse }: RankedRowProps) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const reason = costReason(best.outcome, units);
  return (
    <Panel wet={[best, ...others].some(isNow)} padding="$4" gap="$3" testID={`ranked-${place}`}>
      <Row gap="$3" alignItems="flex-start">
        <Strong color="$muted" fontSize="$4" lineHeight="$4">
          {place}
        </Strong>
        <Column flex={1} gap="$1">
          <Strong>{meansInWords(best)}</Strong>
          <Small>{best.why}</Small>
          {due ? <Small testID={`due-${place}`}>{learningWords.dueOf(due, units)}</Small> : null}
          {best.couplings?.map((coupling) => (
            <Small key={coupling.id}>
              {chooseWords.with(
                coupling.name,
                coupling.apart ? ` ${APART_WORDS[coupling.apart].text}` : '',
              )}
            </Small>
          ))}
          {best.couplings === null ? <Small>{chooseWords.youHaveNotSaid}</Small> : null}
        </Column>
      </Row>
      <Row flexWrap="wrap" alignItems="flex-start" rowGap="$3">
        {outcomeFigures(best.outcome, units).map(({ figure, name, value, note }) => (
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
        <Use
          one={best}
          now={isNow(best)}
          main={place === 1}
          onUse={onUse}
          testID={`use-${place}`}
        />
        <Button
          label={open ? chooseWords.hideCost : chooseWords.whatMakesCost}
          look="quiet"
          onPress={() => {
            setOpen(!open);
          }}
        />
      </Row>
      {others.map((one, index) => (
        <Row
          key={one.water}
          gap="$3"
          borderTopWidth={1}
          borderColor="$line"
          paddingTop="$2"
          justifyContent="space-between"
        >
          <Column flex={1}>
            <Strong fontSize="$2">
              {chooseWords.or(
                COOLANTS[one.water].name.toLowerCase(),
                formatMoney(one.outcome.cost.totalMoney, units),
              )}
            </Strong>
            <Small>{one.why}</Small>
          </Column>
          <Use
            one={one}
            now={isNow(one)}
            main={false}
            onUse={onUse}
            testID={`use-${place}-${index + 2}`}
          />
        </Row>
      ))}
    </Panel>
  );
}

interface UseProps {
  readonly one: DescribedSetup;
  readonly now: boolean;
  readonly main: boolean;
  readonly onUse: (one: DescribedSetup) => void;
  readonly testID: string;
}

/** Takes it into the plan, or says that it is there. */
function Use({ one, now, main, onUse, testID }: UseProps) {
  return now ? (
    <Strong color="$fine" paddingVertical="$2">
      {chooseWords.inPlanNow}
    </Strong>
  ) : (
    <Button
      label={commonWords.useThis}
      look={main ? 'main' : 'plain'}
      onPress={() => {
        onUse(one);
      }}
      testID={testID}
      hint={chooseWords.use(meansInWords(one))}
    />
  );
}

import { hireWords } from '@nucleon/core/words/screens/hire';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { formatMoney } from '@nucleon/core/words/units/money';
import type { HirePrices } from '@nucleon/core/advice/choice/hireOrBuy';
import { Suspense, useMemo, useState } from 'react';
import { LineSwatch } from '../../drawing/LineSwatch';
import { Measured } from '../../drawing/Measured';
import { Column, Panel, Row } from '../../ui/layout';
import { NumberBox } from '../../ui/NumberBox';
import { Loading } from '../../ui/StateView';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { LINE_DASHES, useLineTones } from './lineLooks';
import CostChart from './CostChart';
import { useUnits } from '../display/displayStore';

const PRICES: readonly { readonly key: keyof HirePrices; readonly label: string }[] = [
  { key: 'hourMoney', label: hireWords.anHourOfYours },
  { key: 'cheapBitMoney', label: hireWords.aCheapBit },
  { key: 'goodBitMoney', label: hireWords.aGoodBit },
  { key: 'rigDayMoney', label: hireWords.theRigDay },
  { key: 'orderedHoleMoney', label: hireWords.drilledForYouHole },
  { key: 'orderedTripMoney', label: hireWords.andTrip },
];

/** What one to sixty holes like this cost, done this way or that. */
export function HireScreen() {
  return (
    <HoleLoader title={hireWords.hireOrBuy}>
      {(loaded) => <HireRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function HireRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const tones = useLineTones();
  const [own, setOwn] = useState<Partial<HirePrices>>({});
  const [holes, setHoles] = useState(6);
  const { asked } = room;
  const input = useMemo(() => ({ ...asked, prices: own }), [asked, own]);
  const { outcome, faults } = useTask('hire', input);
  const weighed = outcome?.kind === 'weighed' ? outcome.hireOrBuy : null;
  return (
    <RoomPage name="hire" room={room} maxWidth={900}>
      {weighed === null && faults.length === 0 ? <Loading what={hireWords.theCosts} /> : null}
      {weighed ? (
        <Column padding="$4" gap="$4" testID="hire">
          <Body testID="hire-verdict">{weighed.text}</Body>
          <Suspense fallback={<Loading what={hireWords.theChart} />}>
            <Measured>
              {(width) => <CostChart options={weighed.options} holes={holes} width={width} />}
            </Measured>
          </Suspense>
          <NumberBox
            label={hireWords.howManyHolesLike}
            value={holes}
            limit={{
              min: 1,
              max: weighed.options[0]?.costMoney.length ?? 1,
              unit: hireWords.holes,
            }}
            onChange={(value) => {
              if (value) setHoles(Math.round(value));
            }}
            testID="hire-holes"
          />
          <Panel wet>
            {weighed.options.map(({ way, title, text, costMoney }, index) => (
              <Row
                key={way}
                padding="$4"
                gap="$3"
                alignItems="flex-start"
                borderTopWidth={index === 0 ? 0 : 1}
                borderColor="$line"
                testID={`hire-${way}`}
              >
                <LineSwatch tone={tones[way]} dash={LINE_DASHES[way]} />
                <Column flex={1}>
                  <Strong>{title}</Strong>
                  <Small>{text}</Small>
                </Column>
                <Strong fontVariant={['tabular-nums']}>
                  {formatMoney(costMoney[holes - 1] ?? NaN, units)}
                </Strong>
              </Row>
            ))}
          </Panel>
          <Column gap="$2">
            <Heading aria-level={2}>{hireWords.pricesInYourOwn(units.currency)}</Heading>
            <Small>{hireWords.roughUntilYouType}</Small>
            <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
              {PRICES.map(({ key, label }) => (
                <NumberBox
                  key={key}
                  inRow
                  label={label}
                  value={own[key] ?? Number(weighed.prices[key].toFixed(2))}
                  limit={LIMITS.money}
                  onChange={(value) => {
                    const { [key]: _old, ...others } = own;
                    setOwn(value === undefined ? others : { ...others, [key]: value });
                  }}
                  testID={`price-${key}`}
                />
              ))}
            </Row>
          </Column>
        </Column>
      ) : null}
    </RoomPage>
  );
}

import { riskWords } from '@nucleon/core/words/screens/risk';
import { routes } from '../../routes';
import { riskLines, unknownLines, type UnknownLine } from '@nucleon/core/words/plan/riskWords';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import { useRouter } from 'expo-router';
import { Measured } from '../../drawing/Measured';
import { Button } from '../../ui/Button';
import { Beside, Column, Half, Panel, Row, WIDE_PX } from '../../ui/layout';
import { Loading } from '../../ui/StateView';
import { ShareBar } from '../../ui/ShareBar';
import { Heading, Label, Numeral, Small } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { planHref, roomHref } from '../hole/rooms';
import { useHoleRoom } from '../hole/useHoleRoom';
import { TwentyTries } from './TwentyTries';

/** Odds and ranges of this hole, and which unknown to settle first. */
export function RiskScreen() {
  return (
    <HoleLoader title={riskWords.risk}>
      {(loaded) => <RiskRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function RiskRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const router = useRouter();
  const { outcome, faults } = useTask('risk', room.asked);
  const assessed = outcome?.kind === 'assessed' ? outcome : null;
  const risk = assessed?.risk ?? null;
  const bent = assessed?.bent ?? false;
  const lines = risk ? unknownLines(risk) : [];
  const places: Record<NonNullable<UnknownLine['ask']>['place'], string> = {
    'bit-check': routes.kit({ check: room.plan?.setup.bitId ?? '' }),
    'know-the-piece': roomHref(room.detail, 'know'),
    'press-trainer': roomHref(room.detail, 'press'),
    thickness: planHref(room.detail),
    trial: roomHref(room.detail, 'instead'),
  };
  return (
    <RoomPage name="risk" room={room} maxWidth={WIDE_PX}>
      {risk === null && faults.length === 0 ? <Loading what={riskWords.theOdds} /> : null}
      {risk ? (
        <Beside padding="$4" testID="risk">
          <Half>
            <Panel wet>
              {riskLines(risk, bent, units).map(({ key, title, value, note }) => (
                <Column
                  key={key}
                  padding="$4"
                  gap="$1"
                  borderTopWidth={key === 'crack' ? 0 : 1}
                  borderColor="$line"
                  testID={`risk-${key}`}
                >
                  <Label>{title}</Label>
                  <Numeral>{value}</Numeral>
                  <Small>{note}</Small>
                </Column>
              ))}
            </Panel>
            {risk.timeS ? (
              <Column gap="$2">
                <Heading aria-level={2}>{riskWords.twentyTriesLikeThis}</Heading>
                <Measured>{(width) => <TwentyTries risk={risk} width={width} />}</Measured>
              </Column>
            ) : null}
          </Half>
          <Half>
            <Column gap="$3">
              <Heading aria-level={2}>{riskWords.whatWouldMakeIt}</Heading>
              {lines.map(({ unknown, title, what, cost, costText, gain, ask }) => (
                <Column
                  key={unknown}
                  gap="$2"
                  borderTopWidth={1}
                  borderColor="$line"
                  paddingTop="$3"
                  testID={`unknown-${unknown}`}
                >
                  <ShareBar strong share={cost} text={costText} label={title} />
                  <Small>{gain}</Small>
                  <Small>{what}</Small>
                  {ask ? (
                    <Row>
                      <Button
                        label={ask.text}
                        onPress={() => {
                          router.navigate(places[ask.place]);
                        }}
                        testID={`ask-${unknown}`}
                      />
                    </Row>
                  ) : null}
                </Column>
              ))}
            </Column>
            <Small>{riskWords.seededTriesOfSame(formatDecimals(risk.draws, 0), risk.seed)}</Small>
          </Half>
        </Beside>
      ) : null}
    </RoomPage>
  );
}

import { chooseWords } from '@nucleon/core/words/screens/choose';
import { routes } from '../../routes';
import { byBitAndMachine } from '@nucleon/core/advice/choice/byBitAndMachine';
import type { DescribedSetup } from '@nucleon/core/words/advice/rankingInWords';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { Button } from '../../ui/Button';
import { Column, Row, WIDE_PX } from '../../ui/layout';
import { Empty, Loading } from '../../ui/StateView';
import { Body, Heading, Small } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { planHref } from '../hole/rooms';
import { useHoleRoom } from '../hole/useHoleRoom';
import { Impossible } from './Impossible';
import { RankedRow } from './RankedRow';
import { ToGetList } from './ToGetList';

/** Everything owned that makes this hole, best first. */
export function ChooseScreen() {
  return (
    <HoleLoader title={chooseWords.bitAndMachine}>
      {(loaded) => <ChooseRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function ChooseRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const router = useRouter();
  const { outcome, faults } = useTask('rank', room.asked);
  const ranking = outcome?.kind === 'ranked' ? outcome.ranking : null;
  const use = ({ setup }: DescribedSetup): void => {
    room.edit.changeHole({ setup }, 'choose');
    router.navigate(planHref(room.detail));
  };
  const { setup } = room.edit.hole;
  const isNow = (one: DescribedSetup): boolean =>
    one.bit.id === setup?.bit &&
    one.machine.id === setup.machine &&
    one.water === setup.water?.kind;
  const toKit = (): void => {
    router.navigate(routes.kit());
  };
  return (
    <RoomPage name="choose" room={room} maxWidth={WIDE_PX}>
      {ranking === null && faults.length === 0 ? <Loading what={chooseWords.theRanking} /> : null}
      {ranking ? (
        <Column padding="$4" gap="$4" testID="ranking">
          {ranking.ranked.length > 0 ? (
            <Small>{chooseWords.byWhatHoleIs}</Small>
          ) : (
            <Empty
              title={chooseWords.nothingYouOwnMakes}
              text={
                ranking.impossible.length > 0
                  ? chooseWords.whatStandsInWay
                  : chooseWords.thereIsNoBit
              }
            >
              <Button label={chooseWords.addToKit} icon={Plus} onPress={toKit} />
            </Empty>
          )}
          <Row flexWrap="wrap" gap="$4" alignItems="flex-start">
            {byBitAndMachine(ranking.ranked).map(([best, ...others], index) => (
              <Column
                key={`${best.bit.id} ${best.machine.id}`}
                width="100%"
                $wide={{ flexBasis: '45%', flexGrow: 1, width: 'auto' }}
              >
                <RankedRow
                  place={index + 1}
                  best={best}
                  others={others}
                  due={room.workshop.bitsDue.find(({ bitId }) => bitId === best.bit.id)}
                  isNow={isNow}
                  onUse={use}
                />
              </Column>
            ))}
          </Row>
          {ranking.ranked.length === 0 ? <ToGetList toGet={ranking.toGet} /> : null}
          <Impossible list={ranking.impossible} />
          {ranking.otherSizes.length > 0 ? (
            <Column gap="$2" testID="other-sizes">
              <Heading aria-level={2}>{chooseWords.otherSizesYouOwn}</Heading>
              {ranking.otherSizes.map(({ bit, text }) => (
                <Row key={bit.id} gap="$3">
                  <Body fontSize="$2" flex={1}>
                    {bit.name}
                  </Body>
                  <Small>{text}</Small>
                </Row>
              ))}
            </Column>
          ) : null}
          {ranking.ranked.length > 0 ? <ToGetList toGet={ranking.toGet} /> : null}
        </Column>
      ) : null}
    </RoomPage>
  );
}

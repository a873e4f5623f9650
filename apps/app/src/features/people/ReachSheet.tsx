import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import Check from 'lucide-react-native/icons/check';
import X from 'lucide-react-native/icons/x';
import { reachQuery } from '../../api/people';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { deviceWorks, type Ability } from './deviceWorks';
import { LinkCode } from './LinkCode';

const LOOK_MS = 2000;
const ABILITIES = Object.keys(peopleWords.works) as readonly Ability[];

/** How other devices come in, and what works on this one once it has. */
export function ReachSheet() {
  const reach = useQuery(reachQuery).data;
  if (!reach) return null;
  const { open, addresses, trustAddress, fingerprint } = reach;
  const [address = ''] = addresses;
  return (
    <Column gap="$3" testID="reach">
      <Heading aria-level={2}>{peopleWords.phones}</Heading>
      {open ? (
        <>
          <Body>{peopleWords.holdCameraHere}</Body>
          <LinkCode link={trustAddress ?? address} testID="reach-code" />
          {addresses.length > 1 ? (
            <Small style={{ overflowWrap: 'anywhere' }}>
              {peopleWords.orType(addresses.join(', '))}
            </Small>
          ) : null}
          {fingerprint === null ? null : (
            <Column gap="$1">
              <Strong>{peopleWords.fingerprint}</Strong>
              <Small userSelect="text" style={{ overflowWrap: 'anywhere' }}>
                {fingerprint}
              </Small>
            </Column>
          )}
        </>
      ) : (
        <Body>{peopleWords.aloneHere}</Body>
      )}
      {open ? <Works /> : null}
    </Column>
  );
}

function Works() {
  const works = useQuery({
    queryKey: ['device-works'],
    queryFn: deviceWorks,
    gcTime: 0,
    // The first time the app is still being put by.
    refetchInterval: ({ state }) => (state.data?.offline ? false : LOOK_MS),
  }).data;
  if (!works) return null;
  return (
    <Column gap="$1" testID="works">
      <Strong>{peopleWords.worksHere}</Strong>
      {ABILITIES.map((ability) => (
        <Row key={ability} gap="$2" testID={`works-${ability}`}>
          <Icon
            of={works[ability] ? Check : X}
            tone={works[ability] ? 'fine' : 'caution'}
            size={18}
          />
          <Small color="$ink">
            {`${peopleWords.works[ability]}: ${works[ability] ? peopleWords.yes : peopleWords.no}`}
          </Small>
        </Row>
      ))}
    </Column>
  );
}

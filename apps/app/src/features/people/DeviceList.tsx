import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import { devicesQuery, endDevice } from '../../api/people';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Failed, Loading } from '../../ui/StateView';
import { Small, Strong } from '../../ui/text';
import { day } from './day';
import { Trouble } from '../../ui/Trouble';

/** Where people are signed in; each can be signed out from here. @param withNames as the owner sees them */
export function DeviceList({ withNames }: { readonly withNames: boolean }) {
  const devices = useQuery(devicesQuery);
  const end = useWrite(endDevice);
  if (devices.isPending) return <Loading what={peopleWords.theDevices} />;
  if (devices.isError)
    return <Failed error={devices.error} onRetry={() => void devices.refetch()} />;
  return (
    <Column gap="$2">
      <Panel testID="devices">
        {devices.data.map(({ id, name, personId, personName, bench, seenAt, own }) => (
          <Row key={id} padding="$3" gap="$3" borderTopWidth={1} borderColor="$line">
            <Column flex={1}>
              <Strong>{name || peopleWords.thisDevice}</Strong>
              <Small>
                {[
                  ...(withNames ? [personId === null ? peopleWords.byLink : personName] : []),
                  own ? peopleWords.isThisOne : peopleWords.seen(day(seenAt)),
                  ...(bench ? [peopleWords.isBench] : []),
                ].join(' · ')}
              </Small>
            </Column>
            {own ? null : (
              <Button
                label={peopleWords.signOut}
                hint={`${peopleWords.signOut}: ${name}, ${personName}`}
                disabled={end.busy}
                onPress={() => {
                  end.run(id);
                }}
              />
            )}
          </Row>
        ))}
      </Panel>
      <Trouble text={end.trouble} />
    </Column>
  );
}

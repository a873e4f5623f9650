import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import KeyRound from 'lucide-react-native/icons/key-round';
import { useState } from 'react';
import {
  addPasskey,
  passkeyOptions,
  passkeysQuery,
  reachQuery,
  removePasskey,
} from '../../api/people';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Fold } from '../../ui/Fold';
import { Column, Panel, Row } from '../../ui/layout';
import { Failed, Loading } from '../../ui/StateView';
import { TextBox } from '../../ui/TextBox';
import { Small, Strong } from '../../ui/text';
import { day } from './day';
import { thisDeviceName } from './deviceName';
import { keepsPasskeys, makeKey, namedAddress } from './passkeyDevice';
import { Trouble } from '../../ui/Trouble';

/** Keys that open this workshop in place of the password: by a finger, a face, or the device’s own PIN. */
export function Passkeys() {
  const [open, setOpen] = useState(false);
  return (
    <Fold
      label={peopleWords.passkeys}
      summary={peopleWords.passkeysShort}
      open={open}
      onToggle={() => {
        setOpen(!open);
      }}
      testID="passkeys"
    >
      <Column gap="$4">
        <OwnPasskeys />
        {keepsPasskeys() ? <AddPasskey /> : <WhereInstead />}
      </Column>
    </Fold>
  );
}

function WhereInstead() {
  const reach = useQuery(reachQuery).data;
  return <Small>{peopleWords.noPasskeysHere(namedAddress(reach?.addresses ?? []))}</Small>;
}

function OwnPasskeys() {
  const passkeys = useQuery(passkeysQuery);
  const remove = useWrite(removePasskey);
  if (passkeys.isPending) return <Loading what={peopleWords.thePasskeys} />;
  if (passkeys.isError)
    return <Failed error={passkeys.error} onRetry={() => void passkeys.refetch()} />;
  if (passkeys.data.length === 0) return <Small>{peopleWords.noPasskeysYet}</Small>;
  return (
    <Column gap="$2">
      <Panel>
        {passkeys.data.map(({ id, name, site, since, usedAt }) => (
          <Row key={id} padding="$3" gap="$3" borderTopWidth={1} borderColor="$line">
            <Column flex={1}>
              <Strong>{name || peopleWords.thisDevice}</Strong>
              <Small>
                {peopleWords.passkeyOf(site, day(since), usedAt === null ? null : day(usedAt))}
              </Small>
            </Column>
            <Button
              label={peopleWords.takeOff}
              hint={`${peopleWords.takeOff}: ${name}`}
              disabled={remove.busy}
              onPress={() => {
                remove.run(id);
              }}
            />
          </Row>
        ))}
      </Panel>
      <Trouble text={remove.trouble} />
    </Column>
  );
}

function AddPasskey() {
  const [password, setPassword] = useState('');
  const add = useWrite(
    async (given: string) =>
      addPasskey({
        name: thisDeviceName(),
        credential: await makeKey(await passkeyOptions(given)),
      }),
    {
      done: () => {
        setPassword('');
      },
    },
  );
  return (
    <Column gap="$3">
      <TextBox
        label={peopleWords.oldPassword}
        note={peopleWords.passkeyWhy}
        value={password}
        credential="current-password"
        onChangeText={setPassword}
        testID="passkey-password"
      />
      <Button
        label={peopleWords.addPasskey}
        icon={KeyRound}
        disabled={add.busy || password === ''}
        onPress={() => {
          add.run(password);
        }}
        testID="add-passkey"
      />
      <Trouble text={add.trouble} />
    </Column>
  );
}

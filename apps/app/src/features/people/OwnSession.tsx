import type { Session } from '@nucleon/contract/people';
import { peopleWords } from '@nucleon/core/words/screens/people';
import LogOut from 'lucide-react-native/icons/log-out';
import { useState } from 'react';
import { changePassword, lock, setPin } from '../../api/people';
import { useWrite } from '../../api/useWrite';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Fold } from '../../ui/Fold';
import { Column, Panel, Row } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { TextBox } from '../../ui/TextBox';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { DeviceList } from './DeviceList';
import { Passkeys } from './Passkeys';
import { useLeaving } from './useLeaving';
import { Trouble } from '../../ui/Trouble';

type Signed = Extract<Session, { kind: 'person' }>;

/** Who is signed in on this device, and what they set for it. */
export function OwnSession({ session }: { readonly session: Signed }) {
  const { name, role, bench } = session;
  const leave = useLeaving();
  const lockNow = useWrite(lock);
  return (
    <Column gap="$4" testID="own-session">
      <Heading aria-level={2}>{peopleWords.signedIn}</Heading>
      <Body>{peopleWords.signedInAs(name, role)}</Body>
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={peopleWords.signOut}
          icon={LogOut}
          disabled={leave.busy}
          onPress={() => {
            leave.run();
          }}
          testID="sign-out"
        />
        {bench ? (
          <Button
            label={peopleWords.lockNow}
            onPress={() => {
              lockNow.run();
            }}
            testID="lock-now"
          />
        ) : null}
      </Row>
      <Trouble text={leave.trouble || lockNow.trouble} />
      {role === 'owner' ? (
        <Panel>
          <RowLink to={routes.people()} testID="to-people">
            <Strong>{peopleWords.people}</Strong>
            <Small>{peopleWords.whoWorksHere}</Small>
          </RowLink>
        </Panel>
      ) : null}
      <BenchPin bench={bench} />
      <Password />
      <Passkeys />
      {role === 'owner' ? null : (
        <Column gap="$2">
          <Strong>{peopleWords.myDevices}</Strong>
          <DeviceList withNames={false} />
        </Column>
      )}
    </Column>
  );
}

function BenchPin({ bench }: { readonly bench: boolean }) {
  const [pin, setTyped] = useState('');
  const set = useWrite(setPin, {
    done: () => {
      setTyped('');
    },
  });
  return (
    <Column gap="$2">
      <TextBox
        label={peopleWords.benchPin}
        note={peopleWords.benchPinWhy}
        value={pin}
        credential="one-time-code"
        inputMode="numeric"
        onChangeText={setTyped}
        testID="bench-pin"
      />
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={peopleWords.setPin}
          disabled={set.busy || pin === ''}
          onPress={() => {
            set.run(pin);
          }}
          testID="set-pin"
        />
        {bench ? (
          <Button
            label={peopleWords.takePinOff}
            look="quiet"
            onPress={() => {
              set.run(undefined);
            }}
          />
        ) : null}
      </Row>
      <Trouble text={set.trouble} />
    </Column>
  );
}

function Password() {
  const [old, setOld] = useState('');
  const [password, setPassword] = useState('');
  const [isDone, setDone] = useState(false);
  const [open, setOpen] = useState(false);
  const change = useWrite(changePassword, {
    done: () => {
      setOld('');
      setPassword('');
      setDone(true);
    },
  });
  return (
    <Fold
      label={peopleWords.password}
      summary={peopleWords.changePassword}
      open={open}
      onToggle={() => {
        setOpen(!open);
      }}
      testID="change-password"
    >
      <Column gap="$3">
        <TextBox
          label={peopleWords.oldPassword}
          value={old}
          credential="current-password"
          onChangeText={setOld}
        />
        <TextBox
          label={peopleWords.newPassword}
          value={password}
          credential="new-password"
          note={peopleWords.passwordNote}
          onChangeText={setPassword}
        />
        <Button
          label={peopleWords.changePassword}
          disabled={change.busy || old === '' || password === ''}
          onPress={() => {
            setDone(false);
            change.run({ old, password });
          }}
        />
        <Small role="status" color={change.trouble ? '$stop' : '$ink'}>
          {change.trouble || (isDone ? peopleWords.changed : '')}
        </Small>
      </Column>
    </Fold>
  );
}

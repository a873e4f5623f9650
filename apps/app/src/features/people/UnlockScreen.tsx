import { peopleWords } from '@nucleon/core/words/screens/people';
import { useState } from 'react';
import { unlock } from '../../api/people';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { TextBox } from '../../ui/TextBox';
import { Body } from '../../ui/text';
import { useLeaving } from './useLeaving';
import { Trouble } from '../../ui/Trouble';

/** A bench device that nobody has used for a while asks for its PIN. */
export function UnlockScreen({ name }: { readonly name: string }) {
  const [pin, setPin] = useState('');
  const open = useWrite(() => unlock(pin));
  const leave = useLeaving();
  return (
    <Page title={peopleWords.locked} subtitle={peopleWords.nucleon} maxWidth={520}>
      <Column padding="$4" gap="$4" testID="locked">
        <Body>{peopleWords.lockedWhy(name)}</Body>
        <TextBox
          label={peopleWords.pin}
          value={pin}
          credential="one-time-code"
          inputMode="numeric"
          onChangeText={setPin}
          onEnter={() => {
            open.run();
          }}
          testID="pin"
        />
        <Trouble text={open.trouble || leave.trouble} testID="trouble" />
        <Button
          label={peopleWords.unlock}
          look="main"
          disabled={open.busy || pin === ''}
          onPress={() => {
            open.run();
          }}
          testID="unlock"
        />
        <Button
          label={peopleWords.somebodyElse}
          look="quiet"
          onPress={() => {
            leave.run();
          }}
        />
      </Column>
    </Page>
  );
}

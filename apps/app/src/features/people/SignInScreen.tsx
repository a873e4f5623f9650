import { peopleWords } from '@nucleon/core/words/screens/people';
import KeyRound from 'lucide-react-native/icons/key-round';
import { useState } from 'react';
import { passkeySignInOptions, signIn, signInWithPasskey } from '../../api/people';
import { Button } from '../../ui/Button';
import { Body, Small } from '../../ui/text';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { CredentialsForm } from './CredentialsForm';
import { thisDeviceName } from './deviceName';
import { keepsPasskeys, signWithKey } from './passkeyDevice';
import { useEntering } from './useEntering';
import { Trouble } from '../../ui/Trouble';

/** Asks who this is; what was asked for stands behind it and opens with it. */
export function SignInScreen({ first }: { readonly first: boolean }) {
  const [given, setGiven] = useState({ name: '', password: '', device: thisDeviceName() });
  const enter = useEntering(async () => {
    await signIn(given);
    return given.name;
  });
  const enterByKey = useEntering(async () => {
    const credential = await signWithKey(await passkeySignInOptions());
    return (await signInWithPasskey({ device: given.device, credential })).name;
  });
  return (
    <Page title={peopleWords.signIn} subtitle={peopleWords.nucleon} maxWidth={520}>
      <Column padding="$4" gap="$4" testID="sign-in">
        {first ? (
          <Notice level="note" text={peopleWords.nobodyYet} />
        ) : (
          <>
            <Body>{peopleWords.signInWhy}</Body>
            <CredentialsForm
              given={given}
              onChange={setGiven}
              isNew={false}
              label={peopleWords.signIn}
              entering={enter}
            />
            {keepsPasskeys() ? (
              <Column gap="$2">
                <Button
                  label={peopleWords.signInWithPasskey}
                  icon={KeyRound}
                  disabled={enterByKey.busy}
                  onPress={() => {
                    enterByKey.run();
                  }}
                  testID="enter-by-passkey"
                />
                <Trouble text={enterByKey.trouble} />
              </Column>
            ) : null}
            <Small>{peopleWords.noLink}</Small>
          </>
        )}
      </Column>
    </Page>
  );
}

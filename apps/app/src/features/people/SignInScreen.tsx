import { peopleWords } from '@nucleon/core/words/screens/people';
import { useState } from 'react';
import { signIn } from '../../api/people';
import { Body, Small } from '../../ui/text';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { CredentialsForm } from './CredentialsForm';
import { thisDeviceName } from './deviceName';
import { useEntering } from './useEntering';

/** Asks who this is; what was asked for stands behind it and opens with it. */
export function SignInScreen({ first }: { readonly first: boolean }) {
  const [given, setGiven] = useState({ name: '', password: '', device: thisDeviceName() });
  const enter = useEntering(() => signIn(given), given.name);
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
            <Small>{peopleWords.noLink}</Small>
          </>
        )}
      </Column>
    </Page>
  );
}

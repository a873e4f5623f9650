import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { join, lookAtInvitation } from '../../api/people';
import { routes } from '../../routes';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { Body } from '../../ui/text';
import { CredentialsForm } from './CredentialsForm';
import { thisDeviceName } from './deviceName';
import { linkToken } from './linkToken';
import { useEntering } from './useEntering';

/** Where an invitation leads: choose a name and a password, and be in. */
export function JoinScreen() {
  const [token] = useState(linkToken);
  return (
    <Page title={peopleWords.join} subtitle={peopleWords.nucleon} maxWidth={520}>
      <Column padding="$4" gap="$4" testID="join">
        {token === null ? (
          <Notice level="caution" text={peopleWords.linkIsNotWhole} />
        ) : (
          <Joining token={token} />
        )}
      </Column>
    </Page>
  );
}

function Joining({ token }: { readonly token: string }) {
  const router = useRouter();
  const [given, setGiven] = useState({ name: '', password: '', device: thisDeviceName() });
  const invitation = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => lookAtInvitation(token),
    gcTime: 0,
    retry: false,
  });
  const enter = useEntering(async () => {
    await join(token, given);
    router.replace(routes.jobs());
    return given.name;
  });
  if (invitation.isPending) return <Loading what={peopleWords.lookingAtLink} />;
  if (invitation.isError)
    return <Failed error={invitation.error} onRetry={() => void invitation.refetch()} />;
  const { madeBy, role } = invitation.data;
  return (
    <>
      <Body>{peopleWords.joinAs(madeBy, role)}</Body>
      <CredentialsForm
        given={given}
        onChange={setGiven}
        isNew
        label={peopleWords.join}
        entering={enter}
      />
    </>
  );
}

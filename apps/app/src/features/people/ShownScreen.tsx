import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { openShare } from '../../api/people';
import { keys } from '../../api/keys';
import { readAnew } from '../../api/readAnew';
import { routes } from '../../routes';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { thisDeviceName } from './deviceName';
import { linkToken } from './linkToken';

/** Where a link to one job leads: to the job, to be read. */
export function ShownScreen() {
  const router = useRouter();
  const client = useQueryClient();
  const [token] = useState(linkToken);
  const opened = useQuery({
    queryKey: ['shown', token],
    queryFn: () => openShare(token ?? '', thisDeviceName()),
    enabled: token !== null,
    gcTime: 0,
    retry: false,
  });
  const jobId = opened.data?.jobId;
  useEffect(() => {
    if (jobId === undefined) return;
    void readAnew(client, { queryKey: keys.session() }).then(() => {
      router.replace(routes.job(jobId));
    });
  }, [client, router, jobId]);
  return (
    <Page title={peopleWords.nucleon} maxWidth={520}>
      {token === null ? (
        <Notice level="caution" text={peopleWords.linkIsNotWhole} />
      ) : opened.isError ? (
        <Failed error={opened.error} onRetry={() => void opened.refetch()} />
      ) : (
        <Loading what={peopleWords.openingLink} />
      )}
    </Page>
  );
}

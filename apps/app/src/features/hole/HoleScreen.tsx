import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { holeQuery } from '../../api/holes';
import { bitsQuery, machinesQuery } from '../../api/kit';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { HoleWorkbench } from './HoleWorkbench';

/** A hole with its plan: fetches what it needs, then hands over to the workbench. */
export function HoleScreen() {
  const { jobId, holeId } = useLocalSearchParams<{ jobId: string; holeId: string }>();
  const hole = useQuery(holeQuery(holeId));
  const bits = useQuery(bitsQuery);
  const machines = useQuery(machinesQuery);
  const back = { href: `/jobs/${jobId}`, label: 'the job' };
  if (hole.data && bits.data && machines.data) {
    return (
      <HoleWorkbench key={holeId} detail={hole.data} bits={bits.data} machines={machines.data} />
    );
  }
  const failed = [hole, bits, machines].find((query) => query.isError);
  const retry = (): void => {
    [hole, bits, machines].forEach((query) => void query.refetch());
  };
  return (
    <Page title="Hole" back={back}>
      {failed?.error ? (
        <Failed error={failed.error} onRetry={retry} />
      ) : (
        <Loading what="the plan" />
      )}
    </Page>
  );
}

import type { HoleDetail, StoredBit, StoredMachine } from '@nucleon/contract/wire';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';
import { holeQuery } from '../../api/holes';
import { bitsQuery, machinesQuery } from '../../api/kit';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';

/** What every screen about one hole starts from. */
export interface LoadedHole {
  readonly detail: HoleDetail;
  readonly bits: readonly StoredBit[];
  readonly machines: readonly StoredMachine[];
}

interface HoleLoaderProps {
  /** Shown while it loads or when it cannot. */
  readonly title: string;
  readonly children: (loaded: LoadedHole) => ReactNode;
}

/** Fetches a hole with its piece, job and kit, then hands over. */
export function HoleLoader({ title, children }: HoleLoaderProps) {
  const { jobId, holeId } = useLocalSearchParams<{ jobId: string; holeId: string }>();
  const hole = useQuery(holeQuery(holeId));
  const bits = useQuery(bitsQuery);
  const machines = useQuery(machinesQuery);
  if (hole.data && bits.data && machines.data) {
    return children({ detail: hole.data, bits: bits.data, machines: machines.data });
  }
  const failed = [hole, bits, machines].find((query) => query.isError);
  const retry = (): void => {
    [hole, bits, machines].forEach((query) => void query.refetch());
  };
  return (
    <Page title={title} back={{ href: `/jobs/${jobId}`, label: 'the job' }}>
      {failed?.error ? (
        <Failed error={failed.error} onRetry={retry} />
      ) : (
        <Loading what="the plan" />
      )}
    </Page>
  );
}

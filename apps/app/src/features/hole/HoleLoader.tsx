import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { HoleDetail } from '@nucleon/contract/wire';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';
import { holeQuery } from '../../api/holes';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { useWorkshop, type Workshop } from '../kit/useWorkshop';

/** What every screen about one hole starts from. */
export interface LoadedHole {
  readonly detail: HoleDetail;
  readonly workshop: Workshop;
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
  const workshop = useWorkshop();
  if (hole.data && workshop.data) return children({ detail: hole.data, workshop: workshop.data });
  const error = hole.error ?? workshop.error;
  const retry = (): void => {
    void hole.refetch();
    workshop.retry();
  };
  return (
    <Page title={title} back={{ href: routes.job(jobId), label: commonWords.theJob }}>
      {error ? <Failed error={error} onRetry={retry} /> : <Loading what={commonWords.thePlan} />}
    </Page>
  );
}

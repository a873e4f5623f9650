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

/** A hole with its piece, job and kit; null until all are here. */
export function useLoadedHole(holeId: string): {
  readonly loaded: LoadedHole | null;
  readonly error: Error | null;
  readonly retry: () => void;
} {
  const hole = useQuery(holeQuery(holeId));
  const workshop = useWorkshop();
  return {
    loaded: hole.data && workshop.data ? { detail: hole.data, workshop: workshop.data } : null,
    error: hole.error ?? workshop.error,
    retry: () => {
      void hole.refetch();
      workshop.retry();
    },
  };
}

/** Fetches a hole with its piece, job and kit, then hands over. */
export function HoleLoader({ title, children }: HoleLoaderProps) {
  const { jobId, holeId } = useLocalSearchParams<{ jobId: string; holeId: string }>();
  const { loaded, error, retry } = useLoadedHole(holeId);
  if (loaded) return children(loaded);
  return (
    <Page title={title} back={{ href: routes.job(jobId), label: commonWords.theJob }}>
      {error ? <Failed error={error} onRetry={retry} /> : <Loading what={commonWords.thePlan} />}
    </Page>
  );
}

import { placeWords } from '@nucleon/core/words/screens/place';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { machinesQuery } from '../../api/kit';
import { layoutQuery } from '../../api/layouts';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { PlaceRoom } from './PlaceRoom';

/** Where the holes of one piece go. */
export default function PlaceScreen() {
  const { jobId, pieceId, hole } = useLocalSearchParams<{
    jobId: string;
    pieceId: string;
    hole?: string;
  }>();
  const layout = useQuery(layoutQuery(pieceId));
  const machines = useQuery(machinesQuery);
  if (layout.data && machines.data)
    return (
      <PlaceRoom
        key={pieceId}
        layout={layout.data}
        machines={machines.data}
        firstHole={hole ?? null}
      />
    );
  const failed = [layout, machines].find((query) => query.isError);
  return (
    <Page title={placeWords.layOut} back={{ href: routes.job(jobId), label: commonWords.theJob }}>
      {failed?.error ? (
        <Failed
          error={failed.error}
          onRetry={() => {
            void layout.refetch();
            void machines.refetch();
          }}
        />
      ) : (
        <Loading what={placeWords.thePiece} />
      )}
    </Page>
  );
}

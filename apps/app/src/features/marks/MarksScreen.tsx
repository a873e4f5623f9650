import { placeWords } from '@nucleon/core/words/screens/place';
import { marksWords } from '@nucleon/core/words/screens/marks';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { bitsQuery } from '../../api/kit';
import { layoutQuery } from '../../api/layouts';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { MarksRoom } from './MarksRoom';

/** How the holes of a piece are marked, and what the tape said afterwards. */
export function MarksScreen() {
  const { jobId, pieceId } = useLocalSearchParams<{ jobId: string; pieceId: string }>();
  const layout = useQuery(layoutQuery(pieceId));
  const bits = useQuery(bitsQuery);
  if (layout.data && bits.data)
    return <MarksRoom key={pieceId} layout={layout.data} bits={bits.data} />;
  const failed = [layout, bits].find((query) => query.isError);
  return (
    <Page
      title={marksWords.mark}
      back={{ href: routes.place(jobId, pieceId), label: commonWords.thePlan }}
    >
      {failed?.error ? (
        <Failed
          error={failed.error}
          onRetry={() => {
            void layout.refetch();
            void bits.refetch();
          }}
        />
      ) : (
        <Loading what={placeWords.thePiece} />
      )}
    </Page>
  );
}

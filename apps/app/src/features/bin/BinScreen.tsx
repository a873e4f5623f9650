import { BIN_DAYS, type BinItem } from '@nucleon/contract/wire';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns/format';
import { useLocalSearchParams } from 'expo-router';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { binQuery, useRestore } from '../../api/bin';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Small, Strong } from '../../ui/text';

/** What was deleted, of a job or of all, to be brought back in any order. */
export function BinScreen() {
  const { jobId } = useLocalSearchParams<{ jobId?: string }>();
  const bin = useQuery(binQuery(jobId));
  const restore = useRestore();
  return (
    <Page
      title="Bin"
      subtitle={jobId === undefined ? 'Jobs that were deleted' : 'Deleted from this job'}
      back={
        jobId === undefined
          ? { href: routes.jobs(), label: 'all jobs' }
          : { href: routes.job(jobId), label: 'the job' }
      }
    >
      <Column padding="$4" gap="$4">
        {bin.isError ? <Failed error={bin.error} onRetry={() => void bin.refetch()} /> : null}
        {bin.isPending ? <Loading what="the bin" /> : null}
        {bin.data?.items.length === 0 ? (
          <Empty
            title="The bin is empty"
            text={`What is deleted lies here for ${BIN_DAYS} days, and can be brought back in any order.`}
          />
        ) : null}
        {bin.data && bin.data.items.length > 0 ? (
          <>
            <Small>Brought back, a hole brings along the piece and the job it is in.</Small>
            <Panel wet testID="bin">
              {bin.data.items.map((item) => (
                <BinRow
                  key={item.id}
                  item={item}
                  busy={restore.busy}
                  onRestore={() => {
                    restore.run(item);
                  }}
                />
              ))}
            </Panel>
          </>
        ) : null}
        <Small role="status" aria-live="polite" color="$stop">
          {restore.trouble}
        </Small>
      </Column>
    </Page>
  );
}

const day = (at: string): string => format(new Date(at), 'd MMM');

function BinRow({
  item: { kind, name, pieceName, deletedAt, emptiedAt },
  busy,
  onRestore,
}: {
  readonly item: BinItem;
  readonly busy: boolean;
  readonly onRestore: () => void;
}) {
  const called = name.trim() || (kind === 'hole' ? 'Hole' : 'No name');
  return (
    <Row
      borderTopWidth={1}
      borderColor="$line"
      padding="$3"
      paddingLeft="$4"
      gap="$3"
      alignItems="center"
      testID={`binned-${kind}`}
    >
      <Column flex={1}>
        <Strong>{called}</Strong>
        <Small>
          {kind === 'hole'
            ? `Hole of ${pieceName ?? 'a piece'}`
            : kind === 'piece'
              ? 'Piece'
              : 'Job'}
          {`, deleted ${day(deletedAt)}, kept until ${day(emptiedAt)}`}
        </Small>
      </Column>
      <Button
        label="Bring back"
        icon={Undo2}
        hint={`${called}, ${kind}`}
        disabled={busy}
        onPress={onRestore}
        testID={`restore-${kind}`}
      />
    </Row>
  );
}

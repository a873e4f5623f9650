import { binWords } from '@nucleon/core/words/screens/bin';
import { commonWords } from '@nucleon/core/words/screens/common';
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
      title={binWords.bin}
      subtitle={jobId === undefined ? binWords.jobsThatWereDeleted : binWords.deletedFromThisJob}
      back={
        jobId === undefined
          ? { href: routes.jobs(), label: commonWords.allJobs }
          : { href: routes.job(jobId), label: commonWords.theJob }
      }
    >
      <Column padding="$4" gap="$4">
        {bin.isError && !bin.data ? (
          <Failed error={bin.error} onRetry={() => void bin.refetch()} />
        ) : null}
        {bin.isPending ? <Loading what={binWords.theBin} /> : null}
        {bin.data?.items.length === 0 ? (
          <Empty title={binWords.theBinIsEmpty} text={binWords.whatIsDeletedLies(BIN_DAYS)} />
        ) : null}
        {bin.data && bin.data.items.length > 0 ? (
          <>
            <Small>{binWords.broughtBackHoleBrings}</Small>
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
  const called = name.trim() || (kind === 'hole' ? commonWords.hole : binWords.noName);
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
            ? binWords.holeOf(pieceName)
            : kind === 'piece'
              ? binWords.piece
              : binWords.job}
          {binWords.deletedKeptUntil(day(deletedAt), day(emptiedAt))}
        </Small>
      </Column>
      <Button
        label={binWords.bringBack}
        icon={Undo2}
        hint={`${called}, ${kind}`}
        disabled={busy}
        onPress={onRestore}
        testID={`restore-${kind}`}
      />
    </Row>
  );
}

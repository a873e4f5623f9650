import { jobWords } from '@nucleon/core/words/screens/job';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { ShareJob } from '../people/ShareJob';
import { casesOf } from '@nucleon/core/setup/drillCase';
import type { JobDetail, PieceInJob } from '@nucleon/contract/wire';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams, useRouter } from 'expo-router';
import ArchiveRestore from 'lucide-react-native/icons/archive-restore';
import FileArchive from 'lucide-react-native/icons/file-archive';
import FileDown from 'lucide-react-native/icons/file-down';
import Layers from 'lucide-react-native/icons/layers';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { useCallback, useState } from 'react';
import { deleteJob, exportArchive, exportJob, jobQuery, restoreJob } from '../../api/jobs';
import { useDelete } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { PackButton } from '../files/PackButton';
import { Column, Row } from '../../ui/layout';
import { useMayWork } from '../../ui/mayWork';
import { Page } from '../../ui/Page';
import { fileName, saveFile } from '../../ui/saveFile';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Small } from '../../ui/text';
import { useKeys } from '../../ui/useKeys';
import { VirtualRows } from '../../ui/VirtualRows';
import { JobHeaderFields } from './JobHeaderFields';
import { PieceCard } from './PieceCard';

/** A piece of one hole, as it usually stands. */
const CARD_PX = 320;
const pieceId = ({ id }: PieceInJob): string => id;

/** A job with its pieces and what each hole's plan comes to. */
export function JobScreen() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const router = useRouter();
  const mayWork = useMayWork();
  const job = useQuery(jobQuery(jobId));
  const custom = job.data?.customMaterials;
  const card = useCallback(
    (piece: PieceInJob) => (
      <Column paddingBottom="$4">
        <PieceCard piece={piece} custom={custom ?? []} />
      </Column>
    ),
    [custom],
  );
  const addHole = (): void => {
    router.navigate(routes.newHole({ jobId }));
  };
  useKeys([{ key: 'n', does: commonWords.newHole, run: addHole }]);
  return (
    <Page
      title={job.data?.name ?? jobWords.job}
      back={{ href: routes.jobs(), label: commonWords.allJobs }}
      footer={
        job.data && mayWork ? (
          <Button
            label={jobWords.newPiece}
            icon={Plus}
            look="main"
            grow
            onPress={addHole}
            testID="new-piece"
          />
        ) : undefined
      }
    >
      {job.isError && !job.data ? (
        <Failed error={job.error} onRetry={() => void job.refetch()} />
      ) : null}
      {job.isPending ? <Loading what={commonWords.theJob} /> : null}
      {job.data ? (
        <Column padding="$4" gap="$4">
          <JobHeaderFields key={job.data.id} job={job.data} />
          {job.data.pieces.length === 0 ? (
            <Empty title={jobWords.noPiecesYet} text={jobWords.addFirstPieceSay} />
          ) : null}
          <Column>
            <VirtualRows items={job.data.pieces} keyOf={pieceId} rowPx={CARD_PX} row={card} />
          </Column>
          <ShareJob jobId={job.data.id} />
          <JobMenu job={job.data} />
        </Column>
      ) : null}
    </Page>
  );
}

function JobMenu({ job }: { readonly job: JobDetail }) {
  const router = useRouter();
  const [said, setSaid] = useState('');
  const trying = (work: () => Promise<void>) => (): void => {
    work().catch((error: unknown) => {
      setSaid(error instanceof Error ? error.message : jobWords.itDidNotWork);
    });
  };
  const save = trying(async () => {
    const file = await exportJob(job.id);
    saveFile(
      `${fileName(job.name, 'job')}.nucleon.json`,
      new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }),
    );
    setSaid(jobWords.savedAsJobFile);
  });
  const saveWhole = trying(async () => {
    setSaid(jobWords.packing);
    saveFile(`${fileName(job.name, 'job')}.nucleon.zip`, await exportArchive(job.id));
    setSaid(jobWords.savedWithItsPictures);
  });
  const deletion = useDelete(() => {
    router.navigate(routes.jobs());
  });
  const remove = (): void => {
    deletion.run({
      name: job.name,
      remove: () => deleteJob(job.id),
      restore: () => restoreJob(job.id),
    });
  };
  return (
    <Column gap="$2">
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={jobWords.ownMaterials}
          icon={Layers}
          onPress={() => {
            router.navigate(routes.materials(job.id));
          }}
          testID="own-materials-link"
        />
        <Button label={jobWords.saveAsFile} icon={FileDown} onPress={save} testID="export" />
        <Button
          label={jobWords.saveWithPictures}
          icon={FileArchive}
          onPress={saveWhole}
          testID="export-whole"
        />
        <PackButton
          label={jobWords.jobPackPdf}
          name={job.name}
          asked={async () => ({ jobName: job.name, cases: casesOf(await exportJob(job.id)) })}
          onSaid={setSaid}
          testID="job-pack"
        />
        <Button
          label={jobWords.bin}
          icon={ArchiveRestore}
          onPress={() => {
            router.navigate(routes.bin(job.id));
          }}
          testID="job-bin"
        />
        <Button
          label={jobWords.deleteJob}
          writes
          icon={Trash}
          look="stop"
          onPress={remove}
          testID="delete-job"
        />
      </Row>
      <Small role="status" aria-live="polite">
        {deletion.trouble || said}
      </Small>
    </Column>
  );
}

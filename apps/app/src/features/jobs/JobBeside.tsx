import type { JobDetail } from '@nucleon/contract/wire';
import { tellingDepth } from '@nucleon/core/drawing/sectionOf';
import { commonWords } from '@nucleon/core/words/screens/common';
import { holeWords } from '@nucleon/core/words/screens/hole';
import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { headlineFigures } from '@nucleon/core/words/plan/figures';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import ClipboardList from 'lucide-react-native/icons/clipboard-list';
import Drill from 'lucide-react-native/icons/drill';
import FolderOpen from 'lucide-react-native/icons/folder-open';
import { jobQuery } from '../../api/jobs';
import { routes, type Route } from '../../routes';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Failed, Loading } from '../../ui/StateView';
import { Heading, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { FigureGrid } from '../hole/FigureGrid';
import { useLoadedHole, type LoadedHole } from '../hole/HoleLoader';
import { PlanDrawing } from '../hole/PlanDrawing';
import { useLivePlan } from '../hole/useLivePlan';
import { JobTree } from '../job/JobTree';

const TREE_PX = 230;
const DRAWING_PX = 230;

interface JobBesideProps {
  readonly jobId: string;
  /** The chosen hole; without one the first. */
  readonly holeId: string | undefined;
  readonly hrefOf: (holeId: string) => Route;
}

/** The chosen job's pieces and the plan of one of its holes, beside the list of jobs on a wide screen. */
export function JobBeside({ jobId: id, holeId, hrefOf }: JobBesideProps) {
  const router = useRouter();
  const job = useQuery(jobQuery(id));
  const shown = job.data && chosenHole(job.data, holeId);
  return (
    <Column gap="$3" testID="job-beside">
      <Row justifyContent="space-between" gap="$3" flexWrap="wrap">
        <Heading aria-level={2}>{job.data?.name ?? commonWords.theJob}</Heading>
        <Button
          label={jobsWords.openTheJob}
          icon={FolderOpen}
          look="quiet"
          onPress={() => {
            router.navigate(routes.job(id));
          }}
          testID="open-job"
        />
      </Row>
      {job.isError && !job.data ? (
        <Failed error={job.error} onRetry={() => void job.refetch()} />
      ) : null}
      {job.isPending ? <Loading what={commonWords.theJob} /> : null}
      {job.data && !shown ? <Small>{jobsWords.noHolesYet}</Small> : null}
      {shown ? (
        <Panel wet flexDirection="row" alignItems="stretch">
          <Column width={TREE_PX} borderRightWidth={1} borderColor="$line" flexShrink={0}>
            <JobTree jobId={id} holeId={shown} hrefOf={hrefOf} />
          </Column>
          <Column flex={1} minWidth={0}>
            <PlanBeside key={shown} holeId={shown} />
          </Column>
        </Panel>
      ) : null}
    </Column>
  );
}

/** The hole asked for where the job has it, else its first. */
function chosenHole(job: JobDetail, holeId: string | undefined): string | undefined {
  const holes = job.pieces.flatMap((piece) => piece.holes);
  return (holes.find(({ id }) => id === holeId) ?? holes[0])?.id;
}

function PlanBeside({ holeId }: { readonly holeId: string }) {
  const { loaded, error, retry } = useLoadedHole(holeId);
  if (loaded) return <PlanAtAGlance {...loaded} />;
  return error ? <Failed error={error} onRetry={retry} /> : <Loading what={commonWords.thePlan} />;
}

/** What the hole's plan comes to, and the ways into it. */
function PlanAtAGlance({ detail, workshop }: LoadedHole) {
  const router = useRouter();
  const units = useUnits();
  const { plan, faults } = useLivePlan(detail, detail, workshop);
  const to = (room?: 'ready') => (): void => {
    router.navigate(routes.hole(detail.job.id, detail.hole.id, room));
  };
  const stops = plan?.gates.filter((gate) => gate.level === 'stop') ?? [];
  return (
    <Column testID="plan-beside">
      {faults.map(({ message }) => (
        <Notice key={message} level="stop" text={message} />
      ))}
      {stops.map(({ code, title, message }) => (
        <Notice key={code} level="stop" title={title} text={message} />
      ))}
      {plan ? (
        <>
          <PlanDrawing
            plan={plan}
            thicknessMm={detail.piece.thicknessMm}
            atDepthMm={Math.min(tellingDepth(plan), plan.depthPerSideMm)}
            maxHeight={DRAWING_PX}
          />
          <FigureGrid figures={headlineFigures(plan, units)} columns={3} small />
        </>
      ) : faults.length === 0 ? (
        <Loading what={commonWords.thePlan} />
      ) : null}
      <Row padding="$3" gap="$2" flexWrap="wrap">
        <Button
          label={jobsWords.openThePlan}
          icon={ClipboardList}
          onPress={to()}
          testID="open-plan"
        />
        {plan ? (
          <Button
            label={holeWords.drill}
            writes
            icon={Drill}
            look="main"
            hint={holeWords.drillReadyCheckThen}
            onPress={to('ready')}
            testID="drill"
          />
        ) : null}
      </Row>
    </Column>
  );
}

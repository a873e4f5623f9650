import { useLocalSearchParams } from 'expo-router';
import { Page } from '../../ui/Page';
import { Empty, Loading } from '../../ui/StateView';
import { RunMark } from '../run/RunMark';
import { useRun } from '../run/useRun';
import { useRunSync } from '../run/useRunSync';
import { FinishPanel } from './FinishPanel';
import { ResultForm } from './ResultForm';
import { RunStory } from '../run/RunStory';

/** What came out of a run, and what follows it. */
export function ResultScreen() {
  const { runId } = useLocalSearchParams<{ runId: string }>();
  const sync = useRunSync(runId);
  const run = useRun(runId);
  const back = { href: `/runs/${runId}`, label: 'the run' };
  if (!run)
    return (
      <Page title="Result" back={back}>
        {sync.kind === 'unknown' ? (
          <Empty title="No such run" text="Neither this device nor the server has it." />
        ) : (
          <Loading what="the run" />
        )}
      </Page>
    );
  const { subject } = run.state;
  return (
    <Page
      title="How did it come out?"
      subtitle={`${subject.holeName} · ${subject.pieceName}`}
      back={back}
      actions={<RunMark sync={sync} />}
    >
      <ResultForm key={run.state.result ? 'kept' : 'new'} run={run} />
      <FinishPanel run={run} />
      <RunStory state={run.state} />
    </Page>
  );
}

import { runWords } from '@nucleon/core/words/screens/run';
import { routes } from '../../routes';
import { useLocalSearchParams } from 'expo-router';
import { Page } from '../../ui/Page';
import { Empty, Loading } from '../../ui/StateView';
import { RunBoard } from './RunBoard';
import { useRun } from './useRun';
import { useRunSync } from './useRunSync';

/** One run at the bench, driven or watched. */
export function RunScreen() {
  const { runId } = useLocalSearchParams<{ runId: string }>();
  const sync = useRunSync(runId);
  const run = useRun(runId);
  if (run) return <RunBoard run={run} sync={sync} />;
  return (
    <Page title={runWords.run} back={{ href: routes.log(), label: runWords.theLog }}>
      {sync.kind === 'unknown' ? (
        <Empty title={runWords.noSuchRun} text={runWords.neitherThisDeviceNor} />
      ) : sync.kind === 'away' ? (
        <Empty title={runWords.outOfReach} text={runWords.thisRunIsNot} />
      ) : (
        <Loading what={runWords.theRun} />
      )}
    </Page>
  );
}

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
    <Page title="Run" back={{ href: routes.log(), label: 'the log' }}>
      {sync.kind === 'unknown' ? (
        <Empty title="No such run" text="Neither this device nor the server has it." />
      ) : sync.kind === 'away' ? (
        <Empty
          title="Out of reach"
          text="This run is not on this device, and the server does not answer. It is tried again by itself."
        />
      ) : (
        <Loading what="the run" />
      )}
    </Page>
  );
}

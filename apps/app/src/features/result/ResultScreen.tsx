import { routes } from '../../routes';
import { useLocalSearchParams } from 'expo-router';
import { Page } from '../../ui/Page';
import { Empty, Loading } from '../../ui/StateView';
import { useRun } from '../run/useRun';
import { useRunSync } from '../run/useRunSync';
import { ResultForm } from './ResultForm';

/** What came out of a run, and what follows it. */
export function ResultScreen() {
  const { runId } = useLocalSearchParams<{ runId: string }>();
  const sync = useRunSync(runId);
  const run = useRun(runId);
  const back = { href: routes.run(runId), label: 'the run' };
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
  return <ResultForm run={run} sync={sync} />;
}

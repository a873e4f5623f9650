import { runWords } from '@nucleon/core/words/screens/run';
import { resultWords } from '@nucleon/core/words/screens/result';
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
  const back = { href: routes.run(runId), label: runWords.theRun };
  if (!run)
    return (
      <Page title={resultWords.result} back={back}>
        {sync.kind === 'unknown' ? (
          <Empty title={runWords.noSuchRun} text={runWords.neitherThisDeviceNor} />
        ) : (
          <Loading what={runWords.theRun} />
        )}
      </Page>
    );
  return <ResultForm run={run} sync={sync} />;
}

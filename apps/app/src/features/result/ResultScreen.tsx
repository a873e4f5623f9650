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
  const back = { href: routes.run(runId), label: resultWords.theRun };
  if (!run)
    return (
      <Page title={resultWords.result} back={back}>
        {sync.kind === 'unknown' ? (
          <Empty title={resultWords.noSuchRun} text={resultWords.neitherThisDeviceNor} />
        ) : (
          <Loading what={resultWords.theRun} />
        )}
      </Page>
    );
  return <ResultForm run={run} sync={sync} />;
}

import { commonWords } from '@nucleon/core/words/screens/common';
import { uiWords } from '@nucleon/core/words/screens/ui';
import { useLocalSearchParams } from 'expo-router';
import { useEffect, useState, type ComponentType } from 'react';
import { Unreachable } from '../api/problem';
import { routes } from '../routes';
import { Page } from './Page';
import { Failed, Loading } from './StateView';

/** After the app is opened, ms. */
const AFTER_FIRST_PAGE_MS = 2000;

/**
 * A screen that is large and not where one begins: its code comes after the first page, or when it is opened, whichever
 * is sooner. From then on it is there with a server or without. Until then its title and the way back are.
 *
 * @param title of a page of a job, as it stands there before the job is read
 */
export function lazyScreen(
  title: string,
  load: () => Promise<{ readonly default: ComponentType }>,
): ComponentType {
  let found: ComponentType | null = null;
  const find = async (): Promise<ComponentType> => (found = (await load()).default);
  // What does not come then is asked for again when it is opened.
  setTimeout(() => void find().catch(() => undefined), AFTER_FIRST_PAGE_MS);
  return function LazyScreen() {
    const [Screen, setScreen] = useState(() => found);
    const [failed, setFailed] = useState(false);
    const { jobId } = useLocalSearchParams<{ jobId: string }>();
    const open = (): void => {
      setFailed(false);
      find().then(
        (screen) => {
          setScreen(() => screen);
        },
        () => {
          setFailed(true);
        },
      );
    };
    useEffect(() => {
      if (found === null) open();
    }, []);
    if (Screen) return <Screen />;
    return (
      <Page title={title} back={{ href: routes.job(jobId), label: commonWords.theJob }}>
        {failed ? (
          <Failed error={new Unreachable('server')} onRetry={open} />
        ) : (
          <Loading what={uiWords.thePage} />
        )}
      </Page>
    );
  };
}

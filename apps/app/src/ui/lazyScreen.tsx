import { uiWords } from '@nucleon/core/words/screens/ui';
import { useEffect, useState, type ComponentType } from 'react';
import { Unreachable } from '../api/problem';
import { Column } from './layout';
import { Failed, Loading } from './StateView';

/** After the app is opened, ms. */
const AFTER_FIRST_PAGE_MS = 2000;

/**
 * A screen that is large and not where one begins: its code comes after the first page, or when it is opened, whichever
 * is sooner. From then on it is there with a server or without.
 */
export function lazyScreen(
  load: () => Promise<{ readonly default: ComponentType }>,
): ComponentType {
  let found: ComponentType | null = null;
  const find = async (): Promise<ComponentType> => (found = (await load()).default);
  // What does not come then is asked for again when it is opened.
  setTimeout(() => void find().catch(() => undefined), AFTER_FIRST_PAGE_MS);
  return function LazyScreen() {
    const [Screen, setScreen] = useState(() => found);
    const [failed, setFailed] = useState(false);
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
      <Column flex={1} backgroundColor="$ground">
        {failed ? (
          <Failed error={new Unreachable('server')} onRetry={open} />
        ) : (
          <Loading what={uiWords.thePage} />
        )}
      </Column>
    );
  };
}

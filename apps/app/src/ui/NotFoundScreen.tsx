import { uiWords } from '@nucleon/core/words/screens/ui';
import { routes } from '../routes';
import { useRouter } from 'expo-router';
import { Button } from './Button';
import { Page } from './Page';
import { Empty } from './StateView';

export function NotFoundScreen() {
  const router = useRouter();
  return (
    <Page title={uiWords.nothingHere} back={{ href: routes.jobs(), label: uiWords.jobs }}>
      <Empty title={uiWords.thereIsNothingAt} text={uiWords.theLinkMayBe}>
        <Button
          label={uiWords.seeAllJobs}
          look="main"
          onPress={() => {
            router.navigate(routes.jobs());
          }}
        />
      </Empty>
    </Page>
  );
}

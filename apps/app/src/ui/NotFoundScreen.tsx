import { routes } from '../routes';
import { useRouter } from 'expo-router';
import { Button } from './Button';
import { Page } from './Page';
import { Empty } from './StateView';

export function NotFoundScreen() {
  const router = useRouter();
  return (
    <Page title="Nothing here" back={{ href: routes.jobs(), label: 'jobs' }}>
      <Empty
        title="There is nothing at this address"
        text="The link may be old, or the job was deleted."
      >
        <Button
          label="See all jobs"
          look="main"
          onPress={() => {
            router.navigate(routes.jobs());
          }}
        />
      </Empty>
    </Page>
  );
}

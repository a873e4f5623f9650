import { HoleLoader } from '../hole/HoleLoader';
import { GuideRoom } from './GuideRoom';

/** What steers the bit, holds its water and makes it fall. */
export function GuideScreen() {
  return (
    <HoleLoader title="Guide">
      {(loaded) => <GuideRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

import { guideWords } from '@nucleon/core/words/screens/guide';
import { HoleLoader } from '../hole/HoleLoader';
import { GuideRoom } from './GuideRoom';

/** What steers the bit, holds its water and makes it fall. */
export function GuideScreen() {
  return (
    <HoleLoader title={guideWords.guide}>
      {(loaded) => <GuideRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

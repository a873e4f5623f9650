import { knowWords } from '@nucleon/core/words/screens/know';
import { HoleLoader } from '../hole/HoleLoader';
import { KnowPath } from './KnowPath';

/** Getting to know the piece, one question a screen. */
export default function KnowScreen() {
  return (
    <HoleLoader title={knowWords.identifyPiece}>
      {(loaded) => <KnowPath key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

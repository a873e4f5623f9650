import { HoleLoader } from '../hole/HoleLoader';
import { KnowPath } from './KnowPath';

/** Getting to know the piece, one question a screen. */
export function KnowScreen() {
  return (
    <HoleLoader title="Identify the piece">
      {(loaded) => <KnowPath key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

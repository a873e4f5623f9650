import { commonWords } from '@nucleon/core/words/screens/common';
import { HoleLoader } from './HoleLoader';
import { HoleWorkbench } from './HoleWorkbench';

/** A hole with its plan. */
export function HoleScreen() {
  return (
    <HoleLoader title={commonWords.hole}>
      {(loaded) => <HoleWorkbench key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

import { HoleLoader } from './HoleLoader';
import { HoleWorkbench } from './HoleWorkbench';

/** A hole with its plan. */
export function HoleScreen() {
  return (
    <HoleLoader title="Hole">
      {(loaded) => <HoleWorkbench key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

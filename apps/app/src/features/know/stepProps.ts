import type { HoleRoom } from '../hole/useHoleRoom';
import type { Knowing } from './knowing';

/** What every screen of the path is given. */
export interface StepProps {
  readonly room: HoleRoom;
  readonly knowing: Knowing;
}

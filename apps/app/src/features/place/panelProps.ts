import type { PieceLayout } from '@nucleon/contract/wire';
import type { PlaceRoomState } from './usePlaceRoom';

/** What every panel beside the plan is given. */
export interface PanelProps {
  readonly room: PlaceRoomState;
  readonly layout: PieceLayout;
}

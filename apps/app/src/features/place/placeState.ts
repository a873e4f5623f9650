import type { PointMm } from '@nucleon/core/layout/outline';
import type { KeepOffKind } from '@nucleon/core/data/choices';
import type { ServiceKind } from '@nucleon/core/data/services';
import type { KeepOffShape, ServiceBand } from '@nucleon/core/documents/piece';
import type { SnapLine } from '@nucleon/core/layout/snap';
import type { Face } from './layoutEdits';
import type { Tool } from './tools';

/** Holes under a finger: how far they have gone, and the lines they rest on. */
export interface Carried {
  readonly ids: readonly string[];
  readonly dx: number;
  readonly dy: number;
  readonly lines: readonly SnapLine[];
}

/** What the room shows beside the layout itself: none of it is stored. */
export interface PlaceState {
  readonly tool: Tool;
  readonly face: Face;
  readonly selected: readonly string[];
  readonly carried: Carried | null;
  readonly keepOffKind: KeepOffKind;
  readonly keepOffShape: KeepOffShape['kind'];
  readonly band: Pick<ServiceBand, 'widthMm' | 'uncertaintyMm'> & {
    readonly kind: ServiceKind;
    readonly depthMm?: number | undefined;
  };
  /** Being drawn: from where the finger went down to where it is. */
  readonly drawn: { readonly from: PointMm; readonly to: PointMm } | null;
  /** Points of an outline being traced, or the two of a photograph's scale. */
  readonly points: readonly PointMm[];
  /** Which of the points is under the finger. */
  readonly held: number | null;
  /** Whether a dragged hole comes to rest on lines. */
  readonly snaps: boolean;
}

export type PlaceAction =
  | { readonly type: 'tool'; readonly tool: Tool }
  | { readonly type: 'face'; readonly face: Face }
  | { readonly type: 'select'; readonly ids: readonly string[] }
  | { readonly type: 'toggle'; readonly id: string }
  | { readonly type: 'carry'; readonly carried: Carried | null }
  | { readonly type: 'draw'; readonly drawn: PlaceState['drawn'] }
  | { readonly type: 'hold'; readonly index: number | null }
  | { readonly type: 'points'; readonly points: readonly PointMm[] }
  | {
      readonly type: 'set';
      readonly change: Partial<Pick<PlaceState, 'keepOffKind' | 'keepOffShape' | 'band' | 'snaps'>>;
    };

export const openPlace = (face: Face, selected: readonly string[]): PlaceState => ({
  tool: 'move',
  face,
  selected,
  carried: null,
  keepOffKind: 'rib',
  keepOffShape: 'line',
  band: { kind: 'pipe', widthMm: 15, uncertaintyMm: 10 },
  drawn: null,
  points: [],
  held: null,
  snaps: true,
});

export function placeState(state: PlaceState, action: PlaceAction): PlaceState {
  switch (action.type) {
    case 'tool':
      return { ...state, tool: action.tool, drawn: null, points: [], held: null, carried: null };
    case 'face':
      return {
        ...state,
        face: action.face,
        selected: [],
        drawn: null,
        points: [],
        held: null,
        carried: null,
      };
    case 'select':
      return { ...state, selected: action.ids };
    case 'toggle':
      return {
        ...state,
        selected: state.selected.includes(action.id)
          ? state.selected.filter((id) => id !== action.id)
          : [...state.selected, action.id],
      };
    case 'carry':
      return { ...state, carried: action.carried };
    case 'draw':
      return { ...state, drawn: action.drawn };
    case 'hold':
      return { ...state, held: action.index };
    case 'points':
      return { ...state, points: action.points };
    case 'set':
      return { ...state, ...action.change };
  }
}

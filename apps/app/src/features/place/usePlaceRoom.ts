import type { PieceLayout, StoredHole, StoredMachine } from '@nucleon/contract/wire';
import { faceOutline } from '@nucleon/core/layout/outline';
import { leanOf } from '@nucleon/core/layout/aim';
import { baseShift } from '@nucleon/core/layout/clearDistances';
import { brokenRule } from '@nucleon/core/layout/edgeRules';
import { exitPlace } from '@nucleon/core/layout/exitPlace';
import { clashes } from '@nucleon/core/layout/services';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useReducer } from 'react';
import { houseQuery } from '../../api/house';
import type { Lead } from './lead';
import { faceOf, removeHoles, type LayoutEdit } from './layoutEdits';
import type { LayoutContent } from './layoutDraft';
import { openPlace, placeState, type PlaceAction, type PlaceState } from './placeState';
import { placeTouch } from './placeTouch';
import { useLayoutDraft, useLayoutSave, type LayoutHandle } from './useLayoutDraft';
import { usePlacement, type Placement } from './usePlacement';
import type { PlanTouch } from './usePlanGestures';

const clockMs = (): number => Date.now();

export interface PlaceRoomState {
  readonly handle: LayoutHandle;
  readonly content: LayoutContent;
  readonly state: PlaceState;
  readonly act: (action: PlaceAction) => void;
  readonly edit: (change: LayoutEdit, group: string) => void;
  readonly placement: Placement;
  readonly outline: ReturnType<typeof faceOutline>;
  readonly shift: number;
  /** Holes on the face that is shown. */
  readonly holes: readonly StoredHole[];
  readonly lead: Lead | null;
  readonly touch: PlanTouch;
  readonly remove: (ids: readonly string[]) => void;
}

/** Everything the room is about: the layout as it is edited, what is chosen, and how it stands. */
export function usePlaceRoom(
  layout: PieceLayout,
  machines: readonly StoredMachine[],
  firstHole: string | null,
): PlaceRoomState {
  const handle = useLayoutDraft(layout);
  const content = handle.draft.now;
  const { data: house } = useQuery(houseQuery);
  const first = content.holes.find(({ id }) => id === firstHole) ?? content.holes[0];
  const [state, act] = useReducer(placeState, null, () =>
    openPlace(first ? faceOf(first) : 'face', firstHole && first ? [first.id] : []),
  );
  const placement = usePlacement(content, layout.job, house);
  useLayoutSave(handle, placement.faults.length === 0);
  const edit = (change: LayoutEdit, group: string): void => {
    handle.dispatch({ type: 'edit', change, group, atMs: clockMs() });
  };
  const { outline: own } = content.piece;
  const outline = faceOutline(own, state.face === 'base' ? 'base' : 'top');
  const shift = baseShift(own, state.face === 'base' ? 'base' : 'top');
  const holes = useMemo(
    () => content.holes.filter((hole) => faceOf(hole) === state.face),
    [content.holes, state.face],
  );
  const lead = useMemo((): Lead | null => {
    const [id] = state.selected;
    const at = content.holes.find((hole) => hole.id === id);
    if (!at) return null;
    const { carried } = state;
    const goes = carried?.ids.includes(at.id) ? carried : null;
    const hole = goes ? { ...at, xMm: at.xMm + goes.dx, yMm: at.yMm + goes.dy } : at;
    // Those carried along keep their distance; only those at rest can come near.
    const others = goes
      ? content.holes.filter((other) => !goes.ids.includes(other.id))
      : content.holes;
    const machine = machines.find((one) => one.id === hole.setup?.machine)?.kind;
    const judged = placement.judge(hole, others);
    return {
      hole,
      judged,
      broken: brokenRule(judged) !== undefined || clashes(content.piece, hole),
      exit: exitPlace(content.piece, hole, others, leanOf(hole.setup ?? {}, machine)),
    };
  }, [content, state, placement, machines]);
  const touch = placeTouch({ content, outline, shift, holes, state, act, edit });
  const remove = (ids: readonly string[]): void => {
    edit(removeHoles(ids), `remove ${ids.join()}`);
    act({ type: 'select', ids: [] });
  };
  return {
    handle,
    content,
    state,
    act,
    edit,
    placement,
    outline,
    shift,
    holes,
    lead,
    touch,
    remove,
  };
}

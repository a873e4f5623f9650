import { editing, type Editing } from './editing';
import type { LoadedHole } from './HoleLoader';
import { useAutosave, useHoleDraft, type HoleDraftHandle } from './useHoleDraft';
import { useLivePlan, type LivePlan } from './useLivePlan';

const clockMs = (): number => Date.now();

export interface HoleRoom extends LoadedHole, LivePlan {
  readonly handle: HoleDraftHandle;
  readonly edit: Editing;
}

/** One hole being worked on: its draft, saved by itself, and the plan that follows it. */
export function useHoleRoom(loaded: LoadedHole): HoleRoom {
  const { detail, workshop } = loaded;
  const handle = useHoleDraft(detail);
  const live = useLivePlan(detail, handle.draft.now, workshop);
  useAutosave(handle, live.faults.length === 0);
  return { ...loaded, ...live, handle, edit: editing(handle, clockMs) };
}

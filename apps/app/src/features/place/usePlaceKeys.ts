import { commonWords } from '@nucleon/core/words/screens/common';
import { placeWords } from '@nucleon/core/words/screens/place';
import { MM_PER_INCH } from '@nucleon/core/math/constants';
import { useUnits } from '../display/displayStore';
import { useKeys, type KeyBinding } from '../../ui/useKeys';
import { moveHoles } from './layoutEdits';
import type { PlaceRoomState } from './usePlaceRoom';

/** How far an arrow key moves a hole, and with Shift. */
const STEP_MM = { mm: [1, 0.1], inch: [MM_PER_INCH / 16, MM_PER_INCH / 64] } as const;

const WAYS = {
  ArrowLeft: [-1, 0, placeWords.left],
  ArrowRight: [1, 0, placeWords.right],
  ArrowUp: [0, 1, placeWords.up],
  ArrowDown: [0, -1, placeWords.down],
} as const;

/** Arrows nudge what is chosen, Delete takes it away, Escape lets go of it. */
export function usePlaceKeys({ state, act, edit, holes, handle, remove }: PlaceRoomState): void {
  const { length } = useUnits();
  const chosen = state.selected;
  const nudges = Object.entries(WAYS).map(([key, [x, y, way]]): KeyBinding => ({
    key,
    does: placeWords.nudgeShiftFiner(way),
    run: (event) => {
      const [step, fine] = STEP_MM[length];
      const by = event.shiftKey ? fine : step;
      edit(moveHoles(chosen, x * by, y * by), `nudge ${chosen.join()}`);
    },
  }));
  useKeys([
    ...(chosen.length > 0
      ? [
          ...nudges,
          {
            key: 'Delete',
            does: placeWords.deleteChosenHoles,
            run: () => {
              remove(chosen);
            },
          },
          {
            key: 'Escape',
            does: placeWords.chooseNoneKey,
            run: () => {
              act({ type: 'select', ids: [] });
            },
          },
        ]
      : []),
    {
      key: 'ctrl+a',
      does: placeWords.chooseEveryHole,
      run: () => {
        act({ type: 'select', ids: holes.map(({ id }) => id) });
      },
    },
    {
      key: 'ctrl+z',
      does: commonWords.undoKey,
      run: () => {
        handle.dispatch({ type: 'undo' });
      },
    },
    {
      key: 'ctrl+shift+z',
      does: commonWords.redoKey,
      run: () => {
        handle.dispatch({ type: 'redo' });
      },
    },
  ]);
}

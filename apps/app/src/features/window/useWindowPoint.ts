import { LIMITS } from '@nucleon/contract/limits';
import { rimSpeedAt } from '@nucleon/core/cutting/contact';
import type { WindowView } from '../../workers/windowView';
import type { Editing } from '../hole/editing';
import type { SpeedAndForce } from './windowPlace';

/** The plan's own point on the map: dragging it overrides the pace, clearing it gives that back. */
export function useWindowPoint(edit: Editing, view: WindowView | null) {
  const { setup } = edit.hole;
  return {
    own: setup?.rimSpeedMPerS !== undefined || setup?.contactPressureMpa !== undefined,
    move: ({ rpm, forceN }: SpeedAndForce): void => {
      if (!view) return;
      const hundredth = (value: number): number => Math.max(0.001, Number(value.toPrecision(4)));
      edit.changeSetup(
        {
          rimSpeedMPerS: Math.min(
            LIMITS.rimSpeedMPerS.most,
            hundredth(rimSpeedAt(rpm, view.diameterMm)),
          ),
          contactPressureMpa: Math.min(
            LIMITS.contactPressureMpa.most,
            hundredth(forceN / view.contactAreaMm2),
          ),
        },
        'window',
      );
    },
    clear: (): void => {
      edit.changeSetup({ rimSpeedMPerS: undefined, contactPressureMpa: undefined }, 'window-clear');
    },
  };
}

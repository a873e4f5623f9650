import { LIMITS } from '@nucleon/core/data/schema/limits';
import { rimSpeedAt } from '@nucleon/core/physics/cutting/contact';
import type { WindowView } from '../../workers/windowView';
import type { Editing } from '../hole/editing';
import type { SpeedAndForce } from './windowPlace';

/** To four figures, never down: a hair under a machine's step would fall to the step below. */
function roundedUp(value: number): number {
  const step = 10 ** (Math.floor(Math.log10(value)) - 3);
  return Number((Math.ceil(value / step - 1e-9) * step).toPrecision(6));
}

/** The plan's own point on the map: dragging it overrides the pace, clearing it gives that back. */
export function useWindowPoint(edit: Editing, view: WindowView | null) {
  const { setup } = edit.hole;
  return {
    own: setup?.rimSpeedMPerS !== undefined || setup?.contactPressureMpa !== undefined,
    move: ({ rpm, forceN }: Partial<SpeedAndForce>): void => {
      if (!view) return;
      edit.changeSetup(
        {
          ...(rpm === undefined
            ? {}
            : {
                rimSpeedMPerS: Math.min(
                  LIMITS.rimSpeedMPerS.max,
                  roundedUp(rimSpeedAt(rpm, view.diameterMm)),
                ),
              }),
          ...(forceN === undefined
            ? {}
            : {
                contactPressureMpa: Math.min(
                  LIMITS.contactPressureMpa.max,
                  roundedUp(forceN / view.contactAreaMm2),
                ),
              }),
        },
        'window',
      );
    },
    clear: (): void => {
      edit.changeSetup({ rimSpeedMPerS: undefined, contactPressureMpa: undefined }, 'window-clear');
    },
  };
}

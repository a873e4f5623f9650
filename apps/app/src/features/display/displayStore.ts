import { isUnitSystem } from '@nucleon/core/data/unitSystem';
import { METRIC, type UnitSystem } from '@nucleon/core/data/unitSystem';
import { useEffect, useState } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

export const THEME_CHOICES = ['auto', 'light', 'dark'] as const;
export type ThemeChoice = (typeof THEME_CHOICES)[number];

/** How this person reads: kept on the device, not on the server. */
interface Display {
  readonly theme: ThemeChoice;
  readonly units: UnitSystem;
  readonly setTheme: (theme: ThemeChoice) => void;
  readonly setUnits: (units: UnitSystem) => void;
}

/** As much of what the device kept as still means something. */
function readable(kept: unknown): Partial<Pick<Display, 'theme' | 'units'>> {
  const { theme, units } = (kept ?? {}) as Partial<Display>;
  return {
    ...(THEME_CHOICES.some((choice) => choice === theme) ? { theme } : {}),
    ...(isUnitSystem(units) ? { units } : {}),
  };
}

export const useDisplay = create<Display>()(
  persist(
    (set) => ({
      theme: 'auto',
      units: METRIC,
      setTheme: (theme) => {
        set({ theme });
      },
      setUnits: (units) => {
        set({ units });
      },
    }),
    {
      name: 'nucleon.display',
      storage: createJSONStorage(() => globalThis.localStorage),
      partialize: ({ theme, units }) => ({ theme, units }),
      // Whatever stands there was written by some version of this app, or by nobody knows whom.
      merge: (kept, fresh) => ({ ...fresh, ...readable(kept) }),
    },
  ),
);

export const useUnits = (): UnitSystem => useDisplay((state) => state.units);

/** The device's own wish for dark; absent where there is no browser. */
const deviceQuery = (): MediaQueryList | undefined =>
  typeof globalThis.matchMedia === 'function'
    ? globalThis.matchMedia('(prefers-color-scheme: dark)')
    : undefined;

/** The theme to show: the person's choice, else the device's. */
export function useThemeName(): 'light' | 'dark' {
  const choice = useDisplay((state) => state.theme);
  const [deviceDark, setDeviceDark] = useState(() => deviceQuery()?.matches ?? false);
  useEffect(() => {
    const query = deviceQuery();
    const follow = (event: MediaQueryListEvent): void => {
      setDeviceDark(event.matches);
    };
    query?.addEventListener('change', follow);
    return () => query?.removeEventListener('change', follow);
  }, []);
  return choice === 'auto' ? (deviceDark ? 'dark' : 'light') : choice;
}

import { isUnitSystem } from '@nucleon/core/data/unitSystem';
import { METRIC, type UnitSystem } from '@nucleon/core/data/unitSystem';
import { useEffect, useState } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

export const THEME_CHOICES = ['auto', 'light', 'dark'] as const;
export type ThemeChoice = (typeof THEME_CHOICES)[number];

/** How much larger than the browser’s own the letters are. */
export const TEXT_SCALES = [1, 1.5, 2] as const;
export type TextScaleChoice = (typeof TEXT_SCALES)[number];

/** How this person reads: kept on the device, not on the server. */
interface Display {
  readonly theme: ThemeChoice;
  readonly units: UnitSystem;
  readonly textScale: TextScaleChoice;
  /** Who drills with this device: named in the runs it opens; empty where nobody said. */
  readonly person: string;
  readonly setTheme: (theme: ThemeChoice) => void;
  readonly setUnits: (units: UnitSystem) => void;
  readonly setTextScale: (textScale: TextScaleChoice) => void;
  readonly setPerson: (person: string) => void;
}

/** As much of what the device kept as still means something. */
function readable(
  kept: unknown,
): Partial<Pick<Display, 'theme' | 'units' | 'textScale' | 'person'>> {
  const { theme, units, textScale, person } = (kept ?? {}) as Partial<Display>;
  return {
    ...(THEME_CHOICES.some((choice) => choice === theme) ? { theme } : {}),
    ...(isUnitSystem(units) ? { units } : {}),
    ...(TEXT_SCALES.some((choice) => choice === textScale) ? { textScale } : {}),
    ...(typeof person === 'string' ? { person } : {}),
  };
}

export const useDisplay = create<Display>()(
  persist(
    (set) => ({
      theme: 'auto',
      units: METRIC,
      textScale: 1,
      person: '',
      setTheme: (theme) => {
        set({ theme });
      },
      setUnits: (units) => {
        set({ units });
      },
      setTextScale: (textScale) => {
        set({ textScale });
      },
      setPerson: (person) => {
        set({ person });
      },
    }),
    {
      name: 'nucleon.display',
      storage: createJSONStorage(() => globalThis.localStorage),
      partialize: ({ theme, units, textScale, person }) => ({ theme, units, textScale, person }),
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

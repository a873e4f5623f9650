import { kitWords } from '@nucleon/core/words/screens/kit';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';

/**
 * What is put away stays out of sight until asked for.
 * @param open the one that is open, which stays in sight whatever it is
 */
export function usePutAway<T extends { readonly id: string; readonly retired?: boolean }>(
  all: readonly T[],
  open: string | null,
): { readonly inSight: readonly T[]; readonly toggle: ReactNode } {
  const [away, setAway] = useState(false);
  const count = all.filter((one) => one.retired).length;
  return {
    inSight: all.filter((one) => away || !one.retired || one.id === open),
    toggle:
      count > 0 ? (
        <Button
          label={away ? kitWords.hideThosePutAway : kitWords.showPutAway(count)}
          look="quiet"
          onPress={() => {
            setAway(!away);
          }}
          testID="show-away"
        />
      ) : null,
  };
}

/** How one that is put away is marked in its line. */
export const awayMark = (one: { readonly retired?: boolean }): string =>
  one.retired ? kitWords.markPutAway : '';

import type { StoredBit, StoredMachine, StoredParts } from '@nucleon/contract/wire';
import type { House } from '@nucleon/core/documents/house';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { houseQuery } from '../../api/house';
import { bitsQuery, machinesQuery, partsQuery } from '../../api/kit';

/** What a workshop owns and how it does things: the same for every hole. */
export interface Workshop {
  readonly bits: readonly StoredBit[];
  readonly machines: readonly StoredMachine[];
  readonly parts: StoredParts;
  readonly house: House;
}

export interface LoadedWorkshop {
  readonly data: Workshop | null;
  readonly error: Error | null;
  readonly retry: () => void;
}

export function useWorkshop(): LoadedWorkshop {
  const bits = useQuery(bitsQuery);
  const machines = useQuery(machinesQuery);
  const parts = useQuery(partsQuery);
  const house = useQuery(houseQuery);
  const data = useMemo(
    () =>
      bits.data && machines.data && parts.data && house.data
        ? { bits: bits.data, machines: machines.data, parts: parts.data, house: house.data }
        : null,
    [bits.data, machines.data, parts.data, house.data],
  );
  return {
    data,
    error: bits.error ?? machines.error ?? parts.error ?? house.error,
    retry: () => {
      [bits, machines, parts, house].forEach((query) => void query.refetch());
    },
  };
}

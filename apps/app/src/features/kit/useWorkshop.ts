import type { StoredBit, StoredMachine, StoredParts } from '@nucleon/contract/wire';
import type { Experience } from '@nucleon/core/documents/experience';
import { isDue, type BitDue } from '@nucleon/core/run/learning/bitDue';
import type { House } from '@nucleon/core/documents/house';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { houseQuery } from '../../api/house';
import { bitsQuery, machinesQuery, partsQuery } from '../../api/kit';
import { learningQuery } from '../../api/learning';

/** What a workshop owns and how it does things: the same for every hole. */
export interface Workshop {
  readonly bits: readonly StoredBit[];
  readonly machines: readonly StoredMachine[];
  readonly parts: StoredParts;
  readonly house: House;
  /** What the log tells; null where it tells nothing, or plans are to go by calculation alone. */
  readonly experience: Experience | null;
  /** Bits that cost more than they save, by what the log tells. */
  readonly bitsDue: readonly BitDue[];
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
  const learning = useQuery(learningQuery);
  // Without an answer the plan is made by calculation alone: nobody waits for the log.
  const known = !learning.isPending || learning.fetchStatus !== 'fetching';
  const data = useMemo((): Workshop | null => {
    if (!bits.data || !machines.data || !parts.data || !house.data || !known) return null;
    const learned = house.data.fromLog === 'leave' ? undefined : learning.data;
    return {
      bits: bits.data,
      machines: machines.data,
      parts: parts.data,
      house: house.data,
      experience: learned?.experience ?? null,
      bitsDue: learned?.report?.bits.filter(isDue) ?? [],
    };
  }, [bits.data, machines.data, parts.data, house.data, learning.data, known]);
  return {
    data,
    error: bits.error ?? machines.error ?? parts.error ?? house.error,
    retry: () => {
      [bits, machines, parts, house].forEach((query) => void query.refetch());
    },
  };
}

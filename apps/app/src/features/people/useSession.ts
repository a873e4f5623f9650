import type { Session } from '@nucleon/contract/people';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { sessionQuery } from '../../api/people';
import { useReachable } from '../../api/reachable';
import { useLastSession } from './lastSession';

/** Who this device is: as the server says, or last said. null while a device that was never here asks. */
export function useSession(): Session | null {
  const { data, isPending, refetch } = useQuery(sessionQuery);
  const { session: last, keep } = useLastSession();
  const asked = useReachable((state) => state.asked);
  useEffect(() => {
    // Signed out elsewhere, or locked meanwhile.
    if (asked > 0) void refetch();
  }, [asked, refetch]);
  useEffect(() => {
    if (data) keep(data);
  }, [data, keep]);
  if (data) return data;
  if (last) return last;
  // Nobody answers: all there is to see is what the device keeps.
  return isPending ? null : { kind: 'local' };
}

/** Whether what is changed here is kept: a reader is told before it is tried. */
export const mayWork = (session: Session): boolean =>
  session.kind === 'local' || (session.kind === 'person' && session.role !== 'viewer');

/** Whether people are invited, and jobs shown to others, from here. */
export const isOwner = (session: Session | null): boolean =>
  session?.kind === 'person' && session.role === 'owner';

import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import { metricsQuery } from '../../api/metrics';
import { SayingBar } from '../../ui/SayingBar';
import { isOwner, useSession } from './useSession';

/** Says to whoever keeps the server what it needs of them. */
export function KeeperBar() {
  const session = useSession();
  const isKeeper = session?.kind === 'local' || isOwner(session);
  const { data } = useQuery({ ...metricsQuery, enabled: isKeeper });
  return isKeeper && data?.disk?.low ? (
    <SayingBar grave testID="low-disk">
      {peopleWords.lowDisk(data.disk.freeBytes)}
    </SayingBar>
  ) : null;
}

import { peopleWords } from '@nucleon/core/words/screens/people';
import { SayingBar } from '../../ui/SayingBar';
import { day } from './day';
import { mayWork, useSession } from './useSession';

/** Said once over every screen to whoever may read and not change. */
export function ReadingBar() {
  const session = useSession();
  if (session === null || session.kind === 'nobody' || mayWork(session)) return null;
  return (
    <SayingBar testID="reading">
      {session.kind === 'share' ? peopleWords.sharedJob(day(session.until)) : peopleWords.onlyReads}
    </SayingBar>
  );
}

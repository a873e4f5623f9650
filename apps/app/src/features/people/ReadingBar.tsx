import { peopleWords } from '@nucleon/core/words/screens/people';
import { Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { day } from './day';
import { mayWork, useSession } from './useSession';

/** Said once over every screen to whoever may read and not change. */
export function ReadingBar() {
  const session = useSession();
  if (session === null || session.kind === 'nobody' || mayWork(session)) return null;
  return (
    <Row
      role="status"
      paddingHorizontal="$3"
      paddingVertical="$1"
      backgroundColor="$raised"
      borderBottomWidth={1}
      borderColor="$line"
      testID="reading"
    >
      <Small fontSize="$1" lineHeight="$1">
        {session.kind === 'share'
          ? peopleWords.sharedJob(day(session.until))
          : peopleWords.onlyReads}
      </Small>
    </Row>
  );
}

import { learningWords } from '@nucleon/core/words/screens/learning';
import { useQuery } from '@tanstack/react-query';
import { learningQuery, putBelief } from '../../api/learning';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Small } from '../../ui/text';
import { Trouble } from '../../ui/Trouble';

interface BelieveRunProps {
  readonly runId: string;
  /** Which run, for a list of them. */
  readonly of?: string;
}

/** Whether a run is learned from: left out by a tap, and taken in again by another. */
export function BelieveRun({ runId, of }: BelieveRunProps) {
  const { data } = useQuery(learningQuery);
  const doubts = data?.doubted.find((one) => one.runId === runId);
  const isOut = doubts !== undefined && !doubts.isPutBack;
  const byHand = doubts?.doubts.includes('left-out') ?? false;
  const save = useWrite(() =>
    putBelief(runId, !isOut ? 'left-out' : byHand ? 'usual' : 'put-back'),
  );
  if (!data?.report) return null;
  const does = isOut ? learningWords.putBack : learningWords.leaveOut;
  return (
    <Column padding="$3" gap="$2" alignItems="flex-start">
      <Small>
        {doubts ? learningWords.whyNot(doubts.doubts) : learningWords.isLearnedFrom}{' '}
        {doubts?.isPutBack ? learningWords.isPutBack : ''}
      </Small>
      <Button
        label={does}
        {...(of ? { hint: `${does}: ${of}` } : {})}
        disabled={save.busy}
        onPress={() => {
          save.run();
        }}
        testID={`belief-${runId}`}
      />
      <Trouble text={save.trouble} />
    </Column>
  );
}

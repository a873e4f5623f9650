import type { Coverage } from '@nucleon/contract/wire';
import type { Gate } from '@nucleon/core/documents/gate';
import { placeText } from '@nucleon/core/words/hazards/coverageWords';
import { gatesWords } from '@nucleon/core/words/screens/gates';
import { format } from 'date-fns/format';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Small, Strong } from '../../ui/text';
import type { GateAnswers } from './useGateAnswers';

/** Open gates that were answered at another hole of the job in a way that holds here: taken over in one tap. */
export function AnswersHere({
  given,
  gates,
  answers,
}: {
  readonly given: Coverage['here'];
  /** Those that are open here now. */
  readonly gates: readonly Gate[];
  readonly answers: GateAnswers;
}) {
  const due = given.flatMap((one) => {
    const gate = gates.find(({ code, of }) => code === one.hazard && of === one.check.of);
    return gate ? [{ ...one, gate }] : [];
  });
  if (due.length === 0) return null;
  return (
    <Column padding="$3">
      <Notice
        level="note"
        title={gatesWords.answeredElsewhere}
        text={gatesWords.holdsHereToo}
        testID="answers-here"
      >
        {due.map(({ hazard, title, answer, check, from }) => (
          <Column key={hazard}>
            <Strong>{title}</Strong>
            <Small>
              {gatesWords.answeredAt(
                check.note ? `${answer}: ${check.note}` : answer,
                placeText(from, 'hole'),
                format(new Date(check.at), 'd MMM, HH:mm'),
              )}
            </Small>
          </Column>
        ))}
        <Row>
          <Button
            label={gatesWords.answerAsThere(due.length)}
            look="main"
            onPress={() => {
              answers.answerAs(due);
            }}
            testID="answer-as-there"
          />
        </Row>
      </Notice>
    </Column>
  );
}

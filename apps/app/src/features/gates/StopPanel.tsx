import { gatesWords } from '@nucleon/core/words/screens/gates';
import { commonWords } from '@nucleon/core/words/screens/common';
import type { Plan } from '@nucleon/core/documents/plan';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { GateChoices } from './GateChoices';
import type { GateAnswers } from './useGateAnswers';

/** The open stops, each in full: nothing is drilled until they are settled. */
export function StopPanel({
  plan,
  answers,
  onKnow,
  onInstead,
}: {
  readonly plan: Plan;
  readonly answers: GateAnswers;
  readonly onKnow: () => void;
  readonly onInstead: () => void;
}) {
  const stops = plan.gates.filter((gate) => gate.level === 'stop');
  if (stops.length === 0) return null;
  return (
    <Column gap="$2" padding="$3" testID="stops">
      {stops.map((gate) => (
        <Notice
          key={gate.code}
          level="stop"
          title={gate.title}
          text={gate.message}
          testID={`gate-${gate.code}`}
        >
          {gate.helpedByKnowing ? (
            <Row>
              <Button
                label={commonWords.helpMeFindOut}
                look="main"
                onPress={onKnow}
                testID="stop-know"
              />
            </Row>
          ) : null}
          <GateChoices gate={gate} answers={answers} />
        </Notice>
      ))}
      <Row>
        <Button
          label={gatesWords.whatElseCanBe}
          look="quiet"
          onPress={onInstead}
          testID="stop-instead"
        />
      </Row>
    </Column>
  );
}

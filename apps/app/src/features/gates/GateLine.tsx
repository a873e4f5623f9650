import { gatesWords } from '@nucleon/core/words/screens/gates';
import type { Gate } from '@nucleon/core/documents/gate';
import { format } from 'date-fns/format';
import Check from 'lucide-react-native/icons/check';
import Info from 'lucide-react-native/icons/info';
import Square from 'lucide-react-native/icons/square';
import { Button } from '../../ui/Button';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Small, Strong } from '../../ui/text';
import { GateChoices } from './GateChoices';
import type { GateAnswers } from './useGateAnswers';

/** One gate in a line: to be answered, answered and when, or to know. */
export function GateLine({
  gate,
  answers,
}: {
  readonly gate: Gate;
  readonly answers: GateAnswers;
}) {
  const settled = gate.settledBy !== undefined;
  const isNote = gate.level === 'note';
  return (
    <Row
      gap="$3"
      alignItems="flex-start"
      paddingVertical="$2"
      borderTopWidth={1}
      borderColor="$line"
      testID={`gate-${gate.code}`}
    >
      <Column paddingTop={2}>
        {settled ? (
          <Icon of={Check} tone="fine" />
        ) : isNote ? (
          <Icon of={Info} tone="water" />
        ) : (
          <Icon of={Square} tone="caution" />
        )}
      </Column>
      <Column flex={1} gap="$1">
        <Strong>{gate.title}</Strong>
        <Small>{settled ? settledText(gate) : gate.message}</Small>
        {settled || isNote ? null : <GateChoices gate={gate} answers={answers} />}
      </Column>
      {settled ? (
        <Button
          label={gatesWords.takeBack}
          look="quiet"
          hint={gatesWords.takeBackAnswerOn(gate.title)}
          onPress={() => {
            answers.takeBack(gate);
          }}
        />
      ) : null}
    </Row>
  );
}

/** What was answered, and when. */
export function settledText({ settledBy, answers }: Gate): string {
  if (!settledBy) return '';
  const label = answers.find((one) => one.code === settledBy.answer)?.label ?? settledBy.answer;
  const when = format(new Date(settledBy.at), 'd MMM yyyy, HH:mm');
  return `${label}${settledBy.note ? `: ${settledBy.note}` : ''}. ${when}.`;
}

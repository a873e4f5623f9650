import { gatesWords } from '@nucleon/core/words/screens/gates';
import type { Gate } from '@nucleon/core/documents/gate';
import type { Plan } from '@nucleon/core/documents/plan';
import { format } from 'date-fns/format';
import Check from 'lucide-react-native/icons/check';
import Info from 'lucide-react-native/icons/info';
import Square from 'lucide-react-native/icons/square';
import type { ReactNode } from 'react';
import type { LucideIcon } from 'lucide-react-native';
import { Button } from '../../ui/Button';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import type { Palette } from '../../ui/palette';
import { Heading, Small, Strong } from '../../ui/text';
import { GateChoices } from './GateChoices';
import type { GateAnswers } from './useGateAnswers';

/** What to tick off before starting, what was ticked and when, and what to know. */
export function CheckList({
  plan,
  answers,
  title = gatesWords.beforeYouStart,
  flush = false,
}: {
  readonly plan: Pick<Plan, 'gates' | 'settledGates'>;
  readonly answers: GateAnswers;
  readonly title?: string;
  /** Without room at its sides, where it stands in a column that has it. */
  readonly flush?: boolean;
}) {
  const toConfirm = plan.gates.filter((gate) => gate.level === 'confirm');
  const notes = plan.gates.filter((gate) => gate.level === 'note');
  if (toConfirm.length + notes.length + plan.settledGates.length === 0) return null;
  return (
    <Column padding={flush ? 0 : '$4'} gap="$2" testID="checks">
      <Heading aria-level={2}>{title}</Heading>
      {answers.trouble ? (
        <Small color="$stop" role="alert">
          {answers.trouble}
        </Small>
      ) : null}
      {toConfirm.map((gate) => (
        <Line key={gate.code} gate={gate} icon={Square} tone="caution" text={gate.message}>
          <GateChoices gate={gate} answers={answers} />
        </Line>
      ))}
      {plan.settledGates.map((gate) => (
        <Line
          key={gate.code}
          gate={gate}
          icon={Check}
          tone="fine"
          text={settledText(gate)}
          beside={
            <Button
              label={gatesWords.takeBack}
              look="quiet"
              hint={gatesWords.takeBackAnswerOn(gate.title)}
              onPress={() => {
                answers.takeBack(gate);
              }}
            />
          }
        />
      ))}
      {notes.map((gate) => (
        <Line key={gate.code} gate={gate} icon={Info} tone="water" text={gate.message} />
      ))}
    </Column>
  );
}

function settledText({ settledBy, answers }: Gate): string {
  if (!settledBy) return '';
  const label = answers.find((one) => one.code === settledBy.answer)?.label ?? settledBy.answer;
  const when = format(new Date(settledBy.at), 'd MMM yyyy, HH:mm');
  return `${label}${settledBy.note ? `: ${settledBy.note}` : ''}. ${when}.`;
}

interface LineProps {
  readonly gate: Gate;
  readonly icon: LucideIcon;
  readonly tone: keyof Palette;
  readonly text: string;
  readonly beside?: ReactNode;
  readonly children?: ReactNode;
}

function Line({ gate, icon, tone, text, beside, children }: LineProps) {
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
        <Icon of={icon} tone={tone} />
      </Column>
      <Column flex={1} gap="$1">
        <Strong>{gate.title}</Strong>
        <Small>{text}</Small>
        {children}
      </Column>
      {beside}
    </Row>
  );
}

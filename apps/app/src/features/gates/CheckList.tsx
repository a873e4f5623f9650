import { gatesWords } from '@nucleon/core/words/screens/gates';
import type { Plan } from '@nucleon/core/documents/plan';
import { Column } from '../../ui/layout';
import { Heading } from '../../ui/text';
import { GateLine } from './GateLine';
import type { GateAnswers } from './useGateAnswers';
import { Trouble } from '../../ui/Trouble';

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
      <Trouble text={answers.trouble} />
      {[...toConfirm, ...plan.settledGates, ...notes].map((gate) => (
        <GateLine key={gate.code} gate={gate} answers={answers} />
      ))}
    </Column>
  );
}

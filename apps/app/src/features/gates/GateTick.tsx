import type { Gate } from '@nucleon/core/documents/gate';
import { TickRow } from '../../ui/TickRow';
import { GateLine, settledText } from './GateLine';
import type { GateAnswers } from './useGateAnswers';

/** A gate on a list to be ticked: with one plain answer it is a tick like any other. */
export function GateTick({
  gate,
  answers,
}: {
  readonly gate: Gate;
  readonly answers: GateAnswers;
}) {
  const [only, ...others] = gate.answers;
  if (!only || only.asks !== undefined || others.length > 0)
    return <GateLine gate={gate} answers={answers} />;
  return (
    <TickRow
      title={gate.title}
      detail={gate.settledBy ? settledText(gate) : gate.message}
      keepsDetail
      on={gate.settledBy !== undefined}
      onChange={(on) => {
        if (on) answers.answer(gate, only, '');
        else answers.takeBack(gate);
      }}
      testID={`answer-${only.code}`}
    />
  );
}

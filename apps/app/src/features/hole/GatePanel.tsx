import type { Gate } from '@nucleon/core/hazards/gate';
import type { Plan } from '@nucleon/core/plan/plan';
import { format } from 'date-fns/format';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Small } from '../../ui/text';
import type { Editing } from './editing';

const LEVELS = { stop: 'stop', confirm: 'caution', note: 'note' } as const satisfies Record<
  Gate['level'],
  string
>;

/** What must be settled before the hole is drilled, and what was settled and when. */
export function GatePanel({
  plan,
  edit,
  now,
}: {
  readonly plan: Plan;
  readonly edit: Editing;
  readonly now: () => Date;
}) {
  const { piece, changePiece } = edit;
  const answer = (gate: Gate, code: string): void => {
    changePiece(
      {
        checks: [
          ...(piece.checks ?? []),
          { hazard: gate.code, answer: code, at: now().toISOString() },
        ],
      },
      `gate-${gate.code}`,
    );
  };
  const takeBack = (gate: Gate): void => {
    changePiece(
      { checks: (piece.checks ?? []).filter((check) => check.hazard !== gate.code) },
      `gate-${gate.code}`,
    );
  };
  if (plan.gates.length + plan.settledGates.length === 0) return null;
  return (
    <Column gap="$2" testID="gates">
      {plan.gates.map((gate) => (
        <Notice
          key={gate.code}
          level={LEVELS[gate.level]}
          title={gate.title}
          text={gate.message}
          testID={`gate-${gate.code}`}
        >
          {gate.answers.length > 0 ? (
            <Row flexWrap="wrap" gap="$2">
              {gate.answers.map((one) => (
                <Button
                  key={one.code}
                  label={one.label}
                  onPress={() => {
                    answer(gate, one.code);
                  }}
                  testID={`answer-${one.code}`}
                />
              ))}
            </Row>
          ) : (
            <Small>There is no way round this one.</Small>
          )}
        </Notice>
      ))}
      {plan.settledGates.map((gate) => (
        <Notice
          key={gate.code}
          level="fine"
          title={gate.title}
          text={`${gate.answers.find((one) => one.code === gate.settledBy?.answer)?.label ?? ''}, ${gate.settledBy ? format(new Date(gate.settledBy.at), 'd MMM yyyy, HH:mm') : ''}.`}
        >
          <Row>
            <Button
              label="Take it back"
              look="quiet"
              onPress={() => {
                takeBack(gate);
              }}
            />
          </Row>
        </Notice>
      ))}
    </Column>
  );
}

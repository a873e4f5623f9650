import { gatesWords } from '@nucleon/core/words/screens/gates';
import type { Gate, GateAnswer } from '@nucleon/core/documents/gate';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import type { GateAnswers } from './useGateAnswers';

/** The answers of a gate; one that must be in writing asks for its line first. */
export function GateChoices({
  gate,
  answers,
}: {
  readonly gate: Gate;
  readonly answers: GateAnswers;
}) {
  const [asked, setAsked] = useState<GateAnswer | null>(null);
  const [note, setNote] = useState('');
  if (gate.answers.length === 0)
    return gate.level === 'stop' ? <Small>{gatesWords.thereIsNoWay}</Small> : null;
  return (
    <Column gap="$2">
      {gate.outdated ? <Small>{gatesWords.itWasAnsweredBefore}</Small> : null}
      <Row flexWrap="wrap" gap="$2">
        {gate.answers.map((one) => (
          <Button
            key={one.code}
            label={one.label}
            look={asked?.code === one.code ? 'main' : 'plain'}
            onPress={() => {
              if (one.asks === undefined) answers.answer(gate, one, '');
              else setAsked(asked?.code === one.code ? null : one);
            }}
            testID={`answer-${one.code}`}
          />
        ))}
      </Row>
      {asked?.asks ? (
        <Column gap="$2">
          <TextBox
            label={asked.asks}
            value={note}
            onChangeText={setNote}
            placeholder={gatesWords.itIsKeptWith}
            testID={`note-${gate.code}`}
          />
          <Row>
            <Button
              label={gatesWords.recordIt}
              look="main"
              disabled={note.trim() === ''}
              onPress={() => {
                answers.answer(gate, asked, note);
              }}
              testID={`record-${gate.code}`}
            />
          </Row>
        </Column>
      ) : null}
    </Column>
  );
}

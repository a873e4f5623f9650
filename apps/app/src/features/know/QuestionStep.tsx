import { knowWords } from '@nucleon/core/words/screens/know';
import { identify, IDENTIFIERS } from '@nucleon/core/advice/identify/identify';
import { isIdentifierKind } from '@nucleon/core/advice/identify/knowPath';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Body, Label, Small, Strong, Title } from '../../ui/text';
import type { StepProps } from './stepProps';
import { Shares } from './Shares';

/** One thing to look at or try, what it takes, and what it has come to so far. */
export function QuestionStep({ room, knowing, id }: StepProps & { readonly id: string }) {
  const { knowing: known } = room.edit.piece;
  if (!isIdentifierKind(known?.kind)) return null;
  const question = IDENTIFIERS[known.kind].questions[id];
  if (!question) return null;
  const found = identify(known.kind, known.answers);
  return (
    <>
      <Title aria-level={2}>{question.ask}</Title>
      <Body>{question.how}</Body>
      {question.steps ? (
        <Column render="ol" padding={0} margin={0} gap="$2">
          {question.steps.map((step, index) => (
            <Row key={step} gap="$3" alignItems="flex-start" render="li">
              <Strong width={20} textAlign="right" color="$water">
                {index + 1}
              </Strong>
              <Body flex={1}>{step}</Body>
            </Row>
          ))}
        </Column>
      ) : null}
      <Chips
        label={question.ask}
        hideLabel
        chips={Object.entries(question.answers).map(([value, { label }]) => ({ value, label }))}
        value={known.answers[id]}
        onChange={(answer) => {
          knowing.answer(id, answer);
        }}
        testID="know-answers"
      />
      <Small>{question.source}</Small>
      {found.answered > 0 ? (
        <Column gap="$2" borderTopWidth={1} borderColor="$line" paddingTop="$3">
          <Label>{knowWords.soFarItMay}</Label>
          <Shares found={found} max={3} />
        </Column>
      ) : null}
    </>
  );
}

import type { Comparison, Method } from '@nucleon/core/choice/compareMethods';
import { outcomeFigures } from '@nucleon/core/choice/outcomeWords';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Body, Heading, Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

interface QuestionProps {
  readonly comparison: Comparison;
  readonly onPick: (method: Method) => void;
  /** null forgets the habit. */
  readonly onRemember: (way: string | null) => void;
}

/** One dispute: its ways as columns, what they come to, and the house's habit. */
export function Question({ comparison, onPick, onRemember }: QuestionProps) {
  const { id, question, note, methods, verdict, habit, rememberable } = comparison;
  const current = methods.find((method) => method.current);
  return (
    <Column gap="$3" testID={`question-${id}`}>
      <Column gap="$1">
        <Heading aria-level={2}>{question}</Heading>
        <Small>{note}</Small>
      </Column>
      <Body testID={`verdict-${id}`}>{verdict}</Body>
      <Row gap="$2" alignItems="stretch" flexWrap="wrap">
        {methods.map((method) => (
          <Way
            key={method.id}
            question={id}
            method={method}
            onPick={() => {
              onPick(method);
            }}
          />
        ))}
      </Row>
      {rememberable && current ? (
        <Row>
          {habit === current.id ? (
            <Button
              label={`“${current.label}” is your house habit: forget it`}
              look="quiet"
              onPress={() => {
                onRemember(null);
              }}
              testID={`forget-${id}`}
            />
          ) : (
            <Button
              label={`Always “${current.label}”, unless I say otherwise`}
              look="quiet"
              onPress={() => {
                onRemember(current.id);
              }}
              testID={`remember-${id}`}
            />
          )}
        </Row>
      ) : null}
    </Column>
  );
}

interface WayProps {
  readonly question: string;
  readonly method: Method;
  readonly onPick: () => void;
}

function Way({ question, method, onPick }: WayProps) {
  const units = useUnits();
  const { label, text, needs, outcome, fault, current, bestIn } = method;
  return (
    <Panel
      wet={current}
      flexGrow={1}
      flexBasis={0}
      minWidth={104}
      padding="$3"
      gap="$3"
      justifyContent="space-between"
      testID={`way-${question}-${method.id}`}
    >
      <Column gap="$2">
        <Strong color={current ? '$water' : '$ink'}>{label}</Strong>
        <Small fontSize="$1" lineHeight="$1">
          {text}
        </Small>
        {outcome
          ? outcomeFigures(outcome, units).map(({ figure, name, value }) => (
              <Column key={figure}>
                <Label fontSize="$1" lineHeight="$1">
                  {name}
                  {bestIn.includes(figure) ? ' · best' : ''}
                </Label>
                <Strong fontSize="$2" color={bestIn.includes(figure) ? '$fine' : '$ink'}>
                  {value}
                </Strong>
              </Column>
            ))
          : null}
        {fault ? <Small color="$stop">{fault}</Small> : null}
        {needs ? (
          <Small fontSize="$1" lineHeight="$1">
            Needs: {needs.toLowerCase()}.
          </Small>
        ) : null}
      </Column>
      {current ? (
        <Strong fontSize="$2" color="$fine" paddingVertical="$2">
          In the plan
        </Strong>
      ) : (
        <Button
          label="Pick"
          onPress={onPick}
          disabled={outcome === null}
          hint={`${question}: pick ${label}`}
          testID={`pick-${question}-${method.id}`}
        />
      )}
    </Panel>
  );
}

import { compareWords } from '@nucleon/core/words/screens/compare';
import { commonWords } from '@nucleon/core/words/screens/common';
import { COMPARED_FIGURES } from '@nucleon/core/advice/choice/comparedFigures';
import type {
  DescribedComparison,
  DescribedMethod,
} from '@nucleon/core/words/advice/comparisonsInWords';
import { outcomeFigures } from '@nucleon/core/words/advice/outcomeWords';
import type { ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Body, Heading, Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

interface QuestionProps {
  readonly comparison: DescribedComparison;
  readonly onPick: (method: DescribedMethod) => void;
  /** null forgets the habit. */
  readonly onRemember: (way: string | null) => void;
}

/** One dispute: its ways as columns, figure by figure, what they come to, and the house's habit. */
export function Question({ comparison, onPick, onRemember }: QuestionProps) {
  const { id, question, note, methods, verdict } = comparison;
  return (
    <Column gap="$3" testID={`question-${id}`}>
      <Column gap="$1">
        <Heading aria-level={2}>{question}</Heading>
        <Small>{note}</Small>
      </Column>
      <Body testID={`verdict-${id}`}>{verdict}</Body>
      <Panel wet>
        <Cells methods={methods}>
          {({ label, text, current }) => (
            <>
              <Strong color={current ? '$water' : '$ink'}>{label}</Strong>
              <Small fontSize="$1" lineHeight="$1">
                {text}
              </Small>
            </>
          )}
        </Cells>
        <FigureRows methods={methods} />
        <Cells methods={methods} ruled>
          {({ needs, have, fault }) => (
            <>
              {fault ? <Small color="$stop">{fault}</Small> : null}
              <Small fontSize="$1" lineHeight="$1">
                {needInWords(needs, have)}
              </Small>
            </>
          )}
        </Cells>
        <Cells methods={methods}>
          {(method) =>
            method.current ? (
              <Strong fontSize="$2" color="$fine" paddingVertical="$3">
                {commonWords.inPlan}
              </Strong>
            ) : (
              <Button
                label={compareWords.pick}
                onPress={() => {
                  onPick(method);
                }}
                disabled={method.outcome === null}
                hint={compareWords.pickQuestion(question, method.label)}
                testID={`pick-${id}-${method.id}`}
              />
            )
          }
        </Cells>
      </Panel>
      <Habit comparison={comparison} onRemember={onRemember} />
    </Column>
  );
}

function needInWords(needs: string | null, have: string | null): string {
  if (!needs) return compareWords.needsNothingMore;
  const need = compareWords.needs(needs[0]?.toLowerCase() ?? '', needs.slice(1));
  return have ? compareWords.youHave(need, have) : need;
}

/** A cell for each way, all of one width. */
function Cells({
  methods,
  ruled = false,
  children,
}: {
  readonly methods: readonly DescribedMethod[];
  readonly ruled?: boolean;
  readonly children: (method: DescribedMethod) => ReactNode;
}) {
  return (
    <Row
      alignItems="stretch"
      borderTopWidth={ruled ? 1 : 0}
      borderColor="$line"
      paddingHorizontal="$1"
    >
      {methods.map((method) => (
        <Column
          key={method.id}
          flex={1}
          minWidth={0}
          padding="$2"
          gap="$1"
          backgroundColor={method.current ? '$waterWash' : 'transparent'}
        >
          {children(method)}
        </Column>
      ))}
    </Row>
  );
}

/** Figure by figure across the ways, the best marked by a word. */
function FigureRows({ methods }: { readonly methods: readonly DescribedMethod[] }) {
  const units = useUnits();
  return COMPARED_FIGURES.map((figure) => (
    <Cells key={figure} methods={methods} ruled>
      {({ outcome, bestIn }) => {
        const shown = outcome
          ? outcomeFigures(outcome, units).find((one) => one.figure === figure)
          : null;
        const best = bestIn.includes(figure);
        return (
          <>
            <Label fontSize="$1" lineHeight="$1">
              {shown?.name ?? ''}
              {best ? compareWords.best : ''}
            </Label>
            <Strong fontSize="$2" color={best ? '$fine' : '$ink'}>
              {shown?.value ?? '–'}
            </Strong>
          </>
        );
      }}
    </Cells>
  ));
}

function Habit({
  comparison: { id, methods, habit, rememberable },
  onRemember,
}: Pick<QuestionProps, 'comparison' | 'onRemember'>) {
  const current = methods.find((method) => method.current);
  if (!rememberable || !current) return null;
  return (
    <Row>
      {habit === current.id ? (
        <Button
          label={compareWords.isYourHouseHabit(current.label)}
          look="quiet"
          onPress={() => {
            onRemember(null);
          }}
          testID={`forget-${id}`}
        />
      ) : (
        <Button
          label={compareWords.alwaysUnlessISay(current.label)}
          look="quiet"
          onPress={() => {
            onRemember(current.id);
          }}
          testID={`remember-${id}`}
        />
      )}
    </Row>
  );
}

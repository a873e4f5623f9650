import { OTHER, UNSURE, type Answers } from '@nucleon/core/advice/start/answers';
import { usualMaterial } from '@nucleon/core/advice/presumePiece';
import type { Question } from '@nucleon/core/advice/start/workpieces';
import { askQuestion, type MeasureBox } from '@nucleon/core/words/advice/startQuestions';
import { commonWords } from '@nucleon/core/words/screens/common';
import { newHoleWords } from '@nucleon/core/words/screens/newHole';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { MaterialPicker } from '../hole/MaterialPicker';

interface QuestionAnswersProps {
  readonly question: Question;
  readonly answers: Answers;
  readonly onAnswer: (said: string) => void;
}

/** What may be answered: a tap on one that is offered, or a measure of one's own. */
export function QuestionAnswers({ question, answers, onAnswer }: QuestionAnswersProps) {
  const units = useUnits();
  const asked = askQuestion(question, answers, units);
  if (question === 'make' && answers.thing === OTHER)
    return (
      <MaterialPicker
        value={undefined}
        onPick={({ id }) => {
          onAnswer(id);
        }}
        onNotSure={(kind) => {
          onAnswer(usualMaterial(kind).id + UNSURE);
        }}
      />
    );
  return (
    <>
      {asked.note ? <Small>{asked.note}</Small> : null}
      <Chips
        label={asked.title}
        hideLabel
        chips={asked.chips}
        value={undefined}
        onChange={onAnswer}
        testID="answers-offered"
      />
      {asked.measure ? <Measures boxes={asked.measure} onAnswer={onAnswer} /> : null}
      {asked.most === undefined ? null : <Count most={asked.most} onAnswer={onAnswer} />}
      {asked.parts?.length ? (
        <Chips
          label={newHoleWords.orByThePart}
          chips={asked.parts}
          value={undefined}
          onChange={onAnswer}
          testID="parts"
        />
      ) : null}
    </>
  );
}

function Measures({
  boxes,
  onAnswer,
}: {
  readonly boxes: readonly MeasureBox[];
  readonly onAnswer: (said: string) => void;
}) {
  const [measuredMm, setMeasured] = useState<readonly (number | null)[]>(() =>
    boxes.map(() => null),
  );
  const whole = measuredMm.every((mm) => mm !== null);
  const use = (): void => {
    if (whole) onAnswer(measuredMm.join('x'));
  };
  return (
    <>
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        {boxes.map((box, at) => (
          <LengthBox
            key={box.label}
            inRow={boxes.length > 1}
            label={box.label}
            valueMm={measuredMm[at] ?? null}
            minMm={box.minMm}
            maxMm={box.maxMm}
            onChangeMm={(mm) => {
              setMeasured((now) => now.map((one, index) => (index === at ? mm : one)));
            }}
            onFault={() => {
              setMeasured((now) => now.map((one, index) => (index === at ? null : one)));
            }}
            onEnter={use}
            testID={`measure-${at}`}
          />
        ))}
      </Row>
      <UseThis onPress={use} disabled={!whole} />
    </>
  );
}

function Count({
  most,
  onAnswer,
}: {
  readonly most: number;
  readonly onAnswer: (said: string) => void;
}) {
  const [count, setCount] = useState<number>();
  const whole = count !== undefined && Number.isInteger(count);
  const use = (): void => {
    if (whole) onAnswer(String(count));
  };
  return (
    <>
      <NumberBox
        label={newHoleWords.anotherNumber}
        value={count}
        onChange={setCount}
        limit={{ min: 1, max: most, unit: '' }}
        onEnter={use}
        testID="count"
      />
      <UseThis onPress={use} disabled={!whole} />
    </>
  );
}

const UseThis = (props: { readonly onPress: () => void; readonly disabled: boolean }) => (
  <Button label={commonWords.useThis} icon={ArrowRight} testID="use-measured" {...props} />
);

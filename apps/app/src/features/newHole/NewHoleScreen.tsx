import { useQueryClient } from '@tanstack/react-query';
import {
  nextQuestion,
  readAnswers,
  takeBack,
  type Answers,
} from '@nucleon/core/advice/start/answers';
import {
  answersInLine,
  askQuestion,
  THING_QUESTION,
} from '@nucleon/core/words/advice/startQuestions';
import { commonWords } from '@nucleon/core/words/screens/common';
import { newHoleWords } from '@nucleon/core/words/screens/newHole';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';
import { useWrite } from '../../api/useWrite';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Small, Title } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { createHole, type NewHole } from './createHole';
import { showMade } from './showMade';
import { keepLastStart } from './lastStart';
import { QuestionAnswers } from './QuestionAnswers';
import { ThingChips } from './ThingChips';
import { useArmed } from './useArmed';

type Params = Readonly<Record<string, string | undefined>>;

/**
 * From what is in the hand to a plan, one question a screen; a tap answers and goes on. All that was said stands in
 * the address: back, reload and a link lead to the same question with the same answers.
 */
export function NewHoleScreen() {
  const params = useLocalSearchParams<Record<string, string>>();
  const answers = readAnswers(params);
  // Another question is another screen: nothing half done on one is taken along to the next.
  return <QuestionScreen key={JSON.stringify(answers)} answers={answers} params={params} />;
}

interface QuestionScreenProps {
  readonly answers: Answers;
  readonly params: Params;
}

function QuestionScreen({ answers, params }: QuestionScreenProps) {
  const { jobId } = params;
  const router = useRouter();
  const units = useUnits();
  const armed = useArmed();
  const [startId] = useState(() => params.start ?? newId());
  const question = nextQuestion(answers);
  const asked =
    question === null
      ? null
      : question === 'thing'
        ? THING_QUESTION
        : askQuestion(question, answers, units);

  const goTo = (next: Answers, how: 'push' | 'replace'): void => {
    router[how](routes.newHole({ ...next, jobId, start: startId }));
  };
  const answer = (said: Partial<Answers>): void => {
    goTo({ ...answers, ...said }, 'push');
  };
  const before = takeBack(answers);
  const back = (): void => {
    if (router.canGoBack()) router.back();
    else if (before) goTo(before, 'replace');
  };

  return (
    <Page
      title={newHoleWords.newHole}
      back={{
        href: jobId ? routes.job(jobId) : routes.jobs(),
        label: jobId ? commonWords.theJob : commonWords.allJobs,
      }}
      footer={before ? <Button label={newHoleWords.backQuestion} onPress={back} grow /> : undefined}
    >
      <Column
        padding="$4"
        gap="$4"
        testID={`question-${question ?? 'done'}`}
        pointerEvents={armed ? 'auto' : 'none'}
      >
        {answers.thing === undefined ? null : (
          <Small testID="answers">{answersInLine(answers, units)}</Small>
        )}
        {asked ? <Title aria-level={2}>{asked.title}</Title> : null}
        {question === null ? (
          <Making answers={answers} startId={startId} jobId={jobId} />
        ) : question === 'thing' ? (
          <ThingChips
            onPick={(thing) => {
              answer({ thing });
            }}
          />
        ) : (
          <QuestionAnswers
            question={question}
            answers={answers}
            onAnswer={(said) => {
              answer({ [question]: said });
            }}
          />
        )}
      </Column>
    </Page>
  );
}

/** Makes it as soon as all is said, and goes there. */
function Making({ answers, startId, jobId }: NewHole) {
  const router = useRouter();
  const client = useQueryClient();
  const make = useWrite((asked: NewHole) => createHole(asked), {
    done: (made) => {
      const { job, pieces, notSure, sent } = made;
      const holeId = pieces[0]?.hole.id ?? '';
      keepLastStart({ answers, jobId: job.id });
      if (!sent) showMade(client, made);
      router.replace(routes.hole(job.id, holeId));
      // Finding out comes before the plan, which is what one comes back to.
      if (notSure) router.push(routes.hole(job.id, holeId, 'know'));
    },
  });
  const run = (): void => {
    make.run({ answers, startId, jobId });
  };
  useEffect(run, []); // eslint-disable-line react-hooks/exhaustive-deps -- once, as it is reached; the ids make it safe to repeat
  return make.trouble ? (
    <Notice
      level="caution"
      title={newHoleWords.notSavedYet}
      text={newHoleWords.yourAnswersAreStill(make.trouble)}
      live
    >
      <Button label={newHoleWords.tryAgain} look="main" onPress={run} />
    </Notice>
  ) : (
    <Title aria-level={2} aria-live="polite">
      {newHoleWords.makingPlan}
    </Title>
  );
}

import { knowWords } from '@nucleon/core/words/screens/know';
import type { KnowStep } from '@nucleon/core/advice/identify/knowMarks';
import type { ReactNode } from 'react';
import { Title } from '../../ui/text';
import { AgeStep, DamageStep, FormStep, LooseStep, WorthStep } from './FactSteps';
import { FoundStep } from './FoundStep';
import { KnownSummary } from './KnownSummary';
import { LayersStep } from './LayersStep';
import { KindStep, TreatmentStep, WhichStep } from './MaterialSteps';
import { QuestionStep } from './QuestionStep';
import type { StepProps } from './stepProps';
import { ThicknessStep } from './ThicknessStep';

const TITLES: Record<KnowStep, string> = {
  kind: knowWords.whatKindOfThing,
  which: knowWords.doYouKnowWhich,
  found: knowWords.whatItMayBe,
  treatment: knowWords.howWasGlassTreated,
  form: knowWords.whatFormHasIt,
  layers: knowWords.whatIsItBuilt,
  thickness: knowWords.howThickIsIt,
  loose: knowWords.looseOrBuiltInAlready,
  damage: knowWords.isItDamaged,
  age: knowWords.whenWasItMade,
  worth: knowWords.whatWouldBreakingIt,
  done: knowWords.whatIsKnownNow,
};

const STEPS: Record<KnowStep, (props: StepProps) => ReactNode> = {
  kind: KindStep,
  which: WhichStep,
  found: FoundStep,
  treatment: TreatmentStep,
  form: FormStep,
  layers: LayersStep,
  thickness: ThicknessStep,
  loose: LooseStep,
  damage: DamageStep,
  age: AgeStep,
  worth: WorthStep,
  done: KnownSummary,
};

/** The question of the screen at hand, with its help and its answers. */
export function KnowStepView(props: StepProps) {
  const { screen } = props.knowing;
  if (screen.startsWith('q:')) return <QuestionStep {...props} id={screen.slice(2)} key={screen} />;
  const step = screen as KnowStep;
  const Step = STEPS[step];
  return (
    <>
      <Title aria-level={2}>{TITLES[step]}</Title>
      <Step {...props} key={step} />
    </>
  );
}

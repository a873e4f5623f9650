import { commonWords } from '@nucleon/core/words/screens/common';
import { newHoleWords } from '@nucleon/core/words/screens/newHole';
import { routes } from '../../routes';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { MATERIALS, isMaterialId } from '@nucleon/core/data/materials/materials';
import type { GlassTreatment } from '@nucleon/core/data/choices';
import { usualForm, usualMaterial, usualSizes } from '@nucleon/core/advice/presumePiece';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useLocalSearchParams, useRouter } from 'expo-router';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { useState } from 'react';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Small, Title } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { MaterialPicker } from '../hole/MaterialPicker';
import { createHole, type NewHole } from './createHole';

type Known = Partial<
  Pick<NewHole, 'materialId' | 'notSure' | 'thicknessMm' | 'treatment' | 'diameterMm'>
>;
type Question = 'material' | 'thickness' | 'treatment' | 'diameter';

const TREATMENTS: readonly { value: GlassTreatment; label: string }[] = [
  { value: 'annealed', label: newHoleWords.annealedLabelOrMaker },
  { value: 'unknown', label: newHoleWords.iDoNotKnow },
  { value: 'tempered', label: newHoleWords.temperedOrStrengthened },
  { value: 'laminated', label: newHoleWords.laminated },
];

const isGlass = (known: Known): boolean =>
  known.materialId !== undefined &&
  isMaterialId(known.materialId) &&
  MATERIALS[known.materialId].class === 'glass';

function nextQuestion(known: Known): Question | null {
  if (known.materialId === undefined) return 'material';
  if (known.thicknessMm === undefined) return 'thickness';
  if (isGlass(known) && known.treatment === undefined) return 'treatment';
  return known.diameterMm === undefined ? 'diameter' : null;
}

const TITLES: Record<Question, string> = {
  material: newHoleWords.whatIsItMade,
  thickness: newHoleWords.howThickIsIt,
  treatment: newHoleWords.howWasGlassTreated,
  diameter: newHoleWords.howBigHole,
};

/** From nothing to a plan, one question a screen; a tap answers and goes on. */
export function NewHoleScreen() {
  const { jobId } = useLocalSearchParams<{ jobId?: string }>();
  const router = useRouter();
  const [known, setKnown] = useState<Known>({});
  const make = useWrite((hole: NewHole) => createHole({ ...hole, jobId }), {
    done: (made, { notSure }) => {
      router.replace(routes.hole(made.jobId, made.holeId, notSure ? 'know' : undefined));
    },
  });
  const question = nextQuestion(known);

  const answer = (more: Known): void => {
    const next = { ...known, ...more };
    setKnown(next);
    if (nextQuestion(next) === null) make.run(next as NewHole);
  };
  const back = (): void => {
    const { diameterMm, treatment, thicknessMm } = known;
    make.forget();
    if (diameterMm !== undefined) setKnown({ ...known, diameterMm: undefined });
    else if (treatment !== undefined) setKnown({ ...known, treatment: undefined });
    else if (thicknessMm !== undefined) setKnown({ ...known, thicknessMm: undefined });
    else setKnown({});
  };

  return (
    <Page
      title={newHoleWords.newHole}
      back={{
        href: jobId ? routes.job(jobId) : routes.jobs(),
        label: jobId ? commonWords.theJob : commonWords.allJobs,
      }}
      footer={
        question !== 'material' ? (
          <Button label={newHoleWords.backQuestion} onPress={back} disabled={make.busy} grow />
        ) : undefined
      }
    >
      <Column padding="$4" gap="$4" testID={`question-${question ?? 'done'}`}>
        {question ? (
          <Title aria-level={2}>{TITLES[question]}</Title>
        ) : (
          <Title aria-level={2}>
            {make.busy ? newHoleWords.makingPlan : newHoleWords.nearlyThere}
          </Title>
        )}
        {question ? <Answers question={question} known={known} onAnswer={answer} /> : null}
        {make.trouble ? (
          <Notice
            level="caution"
            title={newHoleWords.notSavedYet}
            text={newHoleWords.yourAnswersAreStill(make.trouble)}
            live
          >
            <Button
              label={newHoleWords.tryAgain}
              look="main"
              onPress={() => {
                make.run(known as NewHole);
              }}
            />
          </Notice>
        ) : null}
      </Column>
    </Page>
  );
}

interface AnswersProps {
  readonly question: Question;
  readonly known: Known;
  readonly onAnswer: (more: Known) => void;
}

function Answers({ question, known, onAnswer }: AnswersProps) {
  const units = useUnits();
  const material =
    known.materialId !== undefined && isMaterialId(known.materialId)
      ? MATERIALS[known.materialId]
      : undefined;
  const sizes = material ? usualSizes(usualForm(material), units) : null;
  switch (question) {
    case 'material':
      return (
        <MaterialPicker
          value={undefined}
          onPick={(picked) => {
            onAnswer({ materialId: picked.id });
          }}
          onNotSure={(kind) => {
            onAnswer({
              materialId: usualMaterial(kind).id,
              notSure: true,
              ...(kind === 'glass' ? { treatment: 'unknown' as const } : {}),
            });
          }}
        />
      );
    case 'thickness':
      return (
        <SizeQuestion
          label={newHoleWords.thickness}
          sizesMm={sizes?.thicknessMm ?? []}
          mostMm={LIMITS.thicknessMm.max}
          note={newHoleWords.measureInTwoOr(material?.name ?? '')}
          onAnswer={(thicknessMm) => {
            onAnswer({ thicknessMm });
          }}
        />
      );
    case 'treatment':
      return (
        <>
          <Body>{newHoleWords.temperedGlassBurstsWhen}</Body>
          <Chips
            label={newHoleWords.treatment}
            hideLabel
            chips={TREATMENTS}
            value={undefined}
            onChange={(treatment) => {
              onAnswer({ treatment });
            }}
            testID="treatment"
          />
        </>
      );
    case 'diameter':
      return (
        <SizeQuestion
          label={commonWords.diameter}
          sizesMm={sizes?.diameterMm ?? []}
          mostMm={LIMITS.diameterMm.max}
          note={newHoleWords.whereItGoesWith}
          onAnswer={(diameterMm) => {
            onAnswer({ diameterMm });
          }}
        />
      );
  }
}

interface SizeQuestionProps {
  readonly label: string;
  readonly sizesMm: readonly number[];
  readonly mostMm: number;
  readonly note: string;
  readonly onAnswer: (mm: number) => void;
}

function SizeQuestion({ label, sizesMm, mostMm, note, onAnswer }: SizeQuestionProps) {
  const units = useUnits();
  const [otherMm, setOtherMm] = useState<number | null>(null);
  return (
    <Column gap="$4" key={label}>
      <Small>{note}</Small>
      <Chips
        label={label}
        hideLabel
        chips={sizesMm.map((mm) => ({ value: mm, label: formatLengthShort(mm, units) }))}
        value={undefined}
        onChange={onAnswer}
        testID="sizes"
      />
      <LengthBox
        label={newHoleWords.another(label.toLowerCase())}
        valueMm={otherMm}
        placeholder={units.length === 'mm' ? newHoleWords.suchAs65 : newHoleWords.suchAs516}
        mostMm={mostMm}
        onChangeMm={setOtherMm}
        testID="other-size"
      />
      <Button
        label={commonWords.useThis}
        icon={ArrowRight}
        onPress={() => {
          if (otherMm !== null) onAnswer(otherMm);
        }}
        disabled={otherMm === null}
        testID="use-other"
      />
    </Column>
  );
}

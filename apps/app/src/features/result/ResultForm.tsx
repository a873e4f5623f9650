import { resultWords } from '@nucleon/core/words/screens/result';
import { resultFlagText } from '@nucleon/core/words/run/resultFlagWords';
import { routes } from '../../routes';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { stateWords } from '@nucleon/core/words/bitWords';
import { AS_PLANNED, judgeResult } from '@nucleon/core/run/judgeResult';
import { BIT_STATES, CRACK_SIGHTS, PART_FITS, VERDICTS } from '@nucleon/core/data/choices';
import { CRACK_WORDS, PART_FIT_WORDS, VERDICT_WORDS } from '@nucleon/core/words/run/resultWords';
import { useRouter } from 'expo-router';
import Check from 'lucide-react-native/icons/check';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Heading, Small } from '../../ui/text';
import { Page } from '../../ui/Page';
import { TextBox } from '../../ui/TextBox';
import { UndoRedo } from '../../ui/UndoRedo';
import { useUnits } from '../display/displayStore';
import { DraftTrouble } from '../draft/DraftTrouble';
import { BigButton } from '../run/BigButton';
import { RunMark } from '../run/RunMark';
import { RunStory } from '../run/RunStory';
import type { LiveRun } from '../run/useRun';
import type { RunSync } from '../run/useRunSync';
import { ChipSizes } from './ChipSizes';
import { FinishPanel } from './FinishPanel';
import { PhotoStrip } from './PhotoStrip';
import { useResultDraft } from './useResultDraft';

const chipsOf = <T extends string>(values: readonly T[], words: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, label: words[value] }));

/** What was found: three taps where all went as planned, else as much as was measured. */
export function ResultForm({ run, sync }: { readonly run: LiveRun; readonly sync: RunSync }) {
  const { state } = run;
  const units = useUnits();
  const router = useRouter();
  const { handle, result, change, forget, whole, keep } = useResultDraft(run);
  const flags = whole ? judgeResult(whole, state) : [];
  const opensFar = state.plan.exitForceN !== null;
  const length = (key: LengthKey, label: string, anySign = false) => (
    <LengthBox
      inRow
      label={label}
      valueMm={result[key] ?? null}
      anySign={anySign}
      mostMm={LIMITS.diameterMm.max}
      onChangeMm={(mm) => {
        change({ [key]: mm });
      }}
      onClear={() => {
        forget(key);
      }}
      testID={`result-${key}`}
    />
  );
  const footer = (
    <Button
      label={whole ? resultWords.keepIt : resultWords.howIsItAnd}
      icon={Check}
      look="main"
      grow
      disabled={!whole}
      onPress={() => {
        if (!whole) return;
        keep(whole);
        router.navigate(routes.run(run.runId));
      }}
      testID="keep-result"
    />
  );
  return (
    <Page
      title={resultWords.result}
      subtitle={`${state.subject.holeName} · ${state.subject.pieceName}`}
      back={{ href: routes.run(run.runId), label: resultWords.theRun }}
      actions={
        <>
          <UndoRedo {...handle} />
          <RunMark sync={sync} />
        </>
      }
      footer={footer}
    >
      <Column padding="$4" gap="$4" testID="result-form">
        <DraftTrouble {...handle} done={resultWords.said} />
        <BigButton
          label={resultWords.fineAsPlanned}
          icon={Check}
          look={result.verdict ? 'plain' : 'main'}
          tall
          onPress={() => {
            change(AS_PLANNED);
          }}
          testID="as-planned"
        />
        <Chips
          label={resultWords.theHoleIs}
          chips={chipsOf(VERDICTS, VERDICT_WORDS)}
          value={result.verdict}
          onChange={(verdict) => {
            change({ verdict });
          }}
          testID="verdict"
        />
        <Chips
          label={resultWords.aCrack}
          chips={chipsOf(CRACK_SIGHTS, CRACK_WORDS)}
          value={result.crack}
          onChange={(crack) => {
            change({ crack });
          }}
          testID="crack"
        />
        <ChipSizes
          label={resultWords.widestChipWhereIt}
          valueMm={result.entryChipMm}
          onChange={(entryChipMm) => {
            change({ entryChipMm });
          }}
          testID="entry-chip"
        />
        {opensFar ? (
          <ChipSizes
            label={resultWords.widestChipWhereItCame}
            valueMm={result.exitChipMm}
            onChange={(exitChipMm) => {
              change({ exitChipMm });
            }}
            testID="exit-chip"
          />
        ) : null}
        <Chips
          label={resultWords.thePart}
          chips={chipsOf(PART_FITS, PART_FIT_WORDS)}
          value={result.partFit}
          onChange={(partFit) => {
            change({ partFit });
          }}
          testID="part-fit"
        />
        <Chips
          label={resultWords.afterIt(state.plan.setup.bitName)}
          chips={BIT_STATES.filter((value) => value !== 'new').map((value) => ({
            value,
            label: stateWords(value),
          }))}
          value={result.bitState}
          onChange={(bitState) => {
            change({ bitState });
          }}
          testID="bit-after"
        />
        <Heading aria-level={2}>{resultWords.measured}</Heading>
        <Small>{resultWords.allOfItMay}</Small>
        <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
          {length('entryDiameterMm', resultWords.acrossGoingIn)}
          {opensFar ? length('exitDiameterMm', resultWords.acrossComingOut) : null}
        </Row>
        <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
          {length('offXMm', resultWords.offToRight, true)}
          {length('offYMm', resultWords.offUpwards, true)}
          {opensFar ? length('leanMm', resultWords.exitOffEntry) : null}
        </Row>
        <PhotoStrip
          runId={run.runId}
          photoIds={result.photoIds ?? []}
          onChange={(photoIds) => {
            change({ photoIds });
          }}
        />
        <TextBox
          label={resultWords.aNote}
          value={result.note ?? ''}
          placeholder={resultWords.whatNextOneShould}
          onChangeText={(note) => {
            change({ note });
          }}
          multiline
          testID="result-note"
        />
        {flags.length > 0 ? (
          <Column gap="$2" testID="result-flags">
            {flags.map((flag) => (
              <Notice
                key={flag.code}
                level="caution"
                title={resultWords.doesNotGoTogether}
                text={resultWords.itIsKeptAs(resultFlagText(flag, units))}
              />
            ))}
          </Column>
        ) : null}
      </Column>
      <FinishPanel run={run} />
      <RunStory state={state} />
    </Page>
  );
}

type LengthKey = 'entryDiameterMm' | 'exitDiameterMm' | 'offXMm' | 'offYMm' | 'leanMm';

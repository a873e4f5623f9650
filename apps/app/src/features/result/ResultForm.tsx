import { runWords } from '@nucleon/core/words/screens/run';
import { Findings, Measurements } from './ResultFields';
import { resultWords } from '@nucleon/core/words/screens/result';
import { resultFlagText } from '@nucleon/core/words/run/resultFlagWords';
import { routes } from '../../routes';
import { AS_PLANNED, judgeResult } from '@nucleon/core/run/judgeResult';
import { useRouter } from 'expo-router';
import Check from 'lucide-react-native/icons/check';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
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
import { FinishPanel } from './FinishPanel';
import { PhotoStrip } from './PhotoStrip';
import { useResultDraft } from './useResultDraft';

/** What was found: three taps where all went as planned, else as much as was measured. */
export function ResultForm({ run, sync }: { readonly run: LiveRun; readonly sync: RunSync }) {
  const { state } = run;
  const units = useUnits();
  const router = useRouter();
  const { handle, result, change, forget, whole, keep } = useResultDraft(run);
  const flags = whole ? judgeResult(whole, state) : [];
  const parts = { result, change, forget };
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
      back={{ href: routes.run(run.runId), label: runWords.theRun }}
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
        <Findings {...parts} plan={state.plan} />
        <Measurements {...parts} plan={state.plan} />
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

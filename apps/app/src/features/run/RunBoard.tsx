import { runWords } from '@nucleon/core/words/screens/run';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { actWords } from '@nucleon/core/words/run/actWords';
import { canMeasure, isOver, type RunState } from '@nucleon/core/run/runState';
import { runView } from '@nucleon/core/words/run/runView';
import { useMedia } from '@tamagui/core';
import { useRouter } from 'expo-router';
import Undo2 from 'lucide-react-native/icons/undo-2';
import Volume2 from 'lucide-react-native/icons/volume-2';
import { useState } from 'react';
import { ScrollView } from 'react-native';
import { Measured } from '../../drawing/Measured';
import { Button } from '../../ui/Button';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Small } from '../../ui/text';
import { useKeys } from '../../ui/useKeys';
import { useUnits } from '../display/displayStore';
import { BenchSheet } from './BenchSheet';
import { MeasureSheet } from './MeasureSheet';
import { RunButtons } from './RunButtons';
import { RunDrawing } from './RunDrawing';
import { RefusedNotice } from './RefusedNotice';
import { RunMark } from './RunMark';
import type { RunSheet } from './runSheet';
import { RunNow } from './RunNow';
import { RunStory } from './RunStory';
import { hasAnswer, SignAnswer } from './SignAnswer';
import { SignSheet } from './SignSheet';
import { StopSheet } from './StopSheet';
import { ResultSummary } from '../result/ResultSummary';
import { useRuns } from './runStore';
import type { LiveRun } from './useRun';
import { useRunCues } from './useRunCues';
import type { RunSync } from './useRunSync';

const DRAWING_PX = 216;
const WIDE_DRAWING_PX = 420;
const SIGNS_WIDTH = 380;
const DRAWING_WIDTH = 440;

/** The run at the bench: what is, what to do, what is left, and a place for the thumb. */
export function RunBoard({ run, sync }: { readonly run: LiveRun; readonly sync: RunSync }) {
  const { state, drives, act, undoable } = run;
  const units = useUnits();
  const router = useRouter();
  const { wide } = useMedia();
  const [sheet, setSheet] = useState<RunSheet | null>(null);
  const isFull = useRuns((runs) => runs.isFull);
  const view = runView(state, units);
  const over = isOver(state);
  const said = useRunCues(state, drives && !over && state.phase !== 'prepare');

  const close = (): void => {
    setSheet(null);
  };
  const undo = (): void => {
    if (undoable) act({ kind: 'undo', of: undoable.id });
  };
  const pressMain = (): void => {
    if (drives && view.main) act({ kind: view.main.act });
  };
  const toggle = (name: RunSheet) => (): void => {
    setSheet((now) => (now === name ? null : name));
  };
  useRunKeys({ state, drives, act, pressMain, undo, toggle, hasEnd: view.end !== null });

  const drawing = (maxHeight: number) => (
    <Measured>
      {(width) => (
        <RunDrawing
          state={state}
          width={width}
          maxHeight={maxHeight}
          onMove={(depthMm) => {
            if (drives) act({ kind: 'measure', depthMm, by: 'eye' });
          }}
        />
      )}
    </Measured>
  );
  const sheets = {
    signs: (
      <SignSheet
        state={state}
        columns={wide ? 1 : 2}
        onSign={(sign) => {
          act({ kind: 'sign', sign });
          close();
        }}
      />
    ),
    measure: (
      <MeasureSheet
        state={state}
        onMeasured={(depthMm) => {
          act({ kind: 'measure', depthMm, by: 'rule' });
          close();
        }}
      />
    ),
    stop: (
      <StopSheet
        onCrack={() => {
          act({ kind: 'crack' });
          close();
        }}
        onAbort={(why) => {
          act({ kind: 'abort', why });
          close();
        }}
      />
    ),
    bench: (
      <Column padding="$4">
        <BenchSheet />
      </Column>
    ),
  } as const satisfies Record<RunSheet, unknown>;

  const answer = (
    <SignAnswer
      state={state}
      onHelped={(of, helped) => {
        act({ kind: 'helped', of, answer: helped });
      }}
    />
  );
  const now = (
    <Column>
      {drives || over ? null : (
        <Watching
          onDrive={() => {
            act({ kind: 'drive' });
          }}
        />
      )}
      {isFull ? (
        <Column padding="$3">
          <Notice
            level="caution"
            title={runWords.thisDeviceKeepsNothing}
            text={runWords.itIsFullOr}
          />
        </Column>
      ) : null}
      <RunNow state={state} view={view} />
      {sync.kind === 'refused' ? (
        <Column padding="$3">
          <RefusedNotice runId={run.runId} since={sync.count} />
        </Column>
      ) : null}
      {undoable && !over ? (
        <Row paddingHorizontal="$2">
          <Button
            label={runWords.takeBack(actWords(undoable.act))}
            icon={Undo2}
            look="quiet"
            onPress={undo}
            testID="run-undo"
          />
        </Row>
      ) : null}
      <Small role="status" aria-live="assertive" height={1} overflow="hidden" testID="run-said">
        {said}
      </Small>
    </Column>
  );
  const buttons = (
    <RunButtons
      run={run}
      view={view}
      sheet={sheet}
      onSheet={setSheet}
      hasSigns={!wide}
      onResult={() => {
        router.navigate(routes.result(run.runId));
      }}
    />
  );
  const head = {
    title: `${state.subject.holeName} · ${state.subject.pieceName}`,
    subtitle: state.subject.jobName,
    back: {
      href: routes.hole(state.subject.jobId, state.subject.holeId),
      label: commonWords.thePlan,
    },
    actions: (
      <Row>
        <RunMark sync={sync} />
        <Press
          paddingHorizontal="$2"
          onPress={toggle('bench')}
          aria-label={runWords.soundAndHand}
          testID="open-bench"
        >
          <Icon of={Volume2} />
        </Press>
      </Row>
    ),
  };

  if (wide)
    return (
      <Page {...head} maxWidth={1440} fixed>
        <Row flex={1} alignItems="stretch" minHeight={0}>
          <ScrollView style={{ width: DRAWING_WIDTH, flexGrow: 0 }}>
            {drawing(WIDE_DRAWING_PX)}
            <RunStory state={state} />
          </ScrollView>
          <Column flex={1} minHeight={0} justifyContent="space-between">
            <ScrollView style={{ flex: 1 }}>
              {sheet && sheet !== 'signs' ? (
                sheets[sheet]
              ) : (
                <>
                  {answer}
                  {now}
                  {over ? <ResultSummary run={run} /> : null}
                </>
              )}
            </ScrollView>
            <Column padding="$3">{buttons}</Column>
          </Column>
          <ScrollView style={{ width: SIGNS_WIDTH, flexGrow: 0 }}>
            {over ? null : sheets.signs}
          </ScrollView>
        </Row>
      </Page>
    );
  return (
    <Page {...head} footer={buttons}>
      {sheet ? (
        sheets[sheet]
      ) : (
        <>
          {hasAnswer(state) ? answer : drawing(DRAWING_PX)}
          {now}
          {over ? <ResultSummary run={run} /> : null}
          <RunStory state={state} />
        </>
      )}
    </Page>
  );
}

function Watching({ onDrive }: { readonly onDrive: () => void }) {
  return (
    <Column padding="$3" testID="watching">
      <Notice level="note" title={runWords.anotherDeviceDrives} text={runWords.thisOneWatchesSigns}>
        <Button label={runWords.driveFromHere} look="main" onPress={onDrive} testID="drive-here" />
      </Notice>
    </Column>
  );
}

interface RunKeys {
  readonly state: RunState;
  readonly drives: boolean;
  readonly act: LiveRun['act'];
  readonly pressMain: () => void;
  readonly undo: () => void;
  readonly toggle: (name: RunSheet) => () => void;
  readonly hasEnd: boolean;
}

/** Keys, also those that foot pedals send. */
function useRunKeys({ state, drives, act, pressMain, undo, toggle, hasEnd }: RunKeys): void {
  const pause = (): void => {
    if (drives && state.phase !== 'paused') act({ kind: 'pause' });
  };
  useKeys([
    { key: ' ', does: runWords.startPauseGoOn, run: pressMain },
    { key: 'PageDown', does: runWords.startPauseGoOn, run: pressMain },
    { key: 'ArrowRight', does: runWords.startPauseGoOn, run: pressMain },
    { key: 'PageUp', does: 'pause', run: pause },
    { key: 'ArrowLeft', does: 'pause', run: pause },
    {
      key: 't',
      does: runWords.itIsThrough,
      run: () => {
        if (drives && hasEnd) act({ kind: 'through' });
      },
    },
    {
      key: 'm',
      does: runWords.iMeasured,
      run: () => {
        if (drives && canMeasure(state)) toggle('measure')();
      },
    },
    { key: 's', does: 'signs', run: toggle('signs') },
    { key: 'u', does: runWords.takeBackKey, run: undo },
  ]);
}

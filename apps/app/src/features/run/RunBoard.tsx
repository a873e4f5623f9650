import { RunNowPanel } from './RunNowPanel';
import { RunSheetOf } from './RunSheetOf';
import { useRunKeys } from './useRunKeys';
import { runWords } from '@nucleon/core/words/screens/run';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { isOver } from '@nucleon/core/run/runState';
import { helperView } from '@nucleon/core/words/run/helperView';
import { runView } from '@nucleon/core/words/run/runView';
import { useMedia } from '@tamagui/core';
import { useRouter } from 'expo-router';
import Volume2 from 'lucide-react-native/icons/volume-2';
import { useState, type ComponentProps, type ReactNode } from 'react';
import { ScrollView, useWindowDimensions } from 'react-native';
import { Measured } from '../../drawing/Measured';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { useUnits } from '../display/displayStore';
import { RunButtons } from './RunButtons';
import { RunDrawing } from './RunDrawing';
import { RunMark } from './RunMark';
import type { RunSheet } from './runSheet';
import { RunStory } from './RunStory';
import { hasAnswer, SignAnswer } from './SignAnswer';
import { BelieveRun } from '../learning/BelieveRun';
import { ResultSummary } from '../result/ResultSummary';
import type { LiveRun } from './useRun';
import { useRunCues } from './useRunCues';
import type { RunSync } from './useRunSync';

const DRAWING_PX = 216;
const WIDE_DRAWING_PX = 420;
const SIGNS_WIDTH = 380;
const DRAWING_WIDTH = 440;
/** Lower than this nothing may stand above the line to do. */
const LOW_PX = 480;
/** From this width the buttons stand beside what is now. */
const BESIDE_PX = 560;
/** From this width buttons beside it have room for their large letters. */
const ROOMY_PX = 760;
const LOW_DRAWING_PX = 150;

/** The run at the bench: what is, what to do, what is left, and a place for the thumb. */
export function RunBoard({ run, sync }: { readonly run: LiveRun; readonly sync: RunSync }) {
  const { state, drives, act, undoable } = run;
  const units = useUnits();
  const router = useRouter();
  const { wide, low, isBeside, isRoomy } = useBoardSize();
  const [sheet, setSheet] = useState<RunSheet | null>(null);
  const view = runView(state, units);
  const over = isOver(state);
  // The second person’s device calls out their own part.
  const help = drives ? null : helperView(state, units);
  const active = (drives || help !== null) && !over && state.phase !== 'prepare';
  const said = useRunCues(state, active, help ? 'helper' : 'driller');
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
  const sheetOf = (shown: RunSheet) => (
    <RunSheetOf
      sheet={shown}
      run={run}
      columns={wide ? 1 : 2}
      onClose={() => {
        setSheet(null);
      }}
    />
  );
  const parts: BoardParts = {
    head: headOf(state, sync, toggle('bench')),
    drawing: (maxHeight) => <BoardDrawing run={run} maxHeight={maxHeight} />,
    now: (
      <RunNowPanel
        run={run}
        sync={sync}
        view={{ ...view, ...help }}
        said={said}
        onUndo={undo}
        size={low ? (isBeside ? 'side' : 'low') : 'tall'}
      />
    ),
    buttons: (
      <RunButtons
        run={run}
        view={view}
        sheet={sheet}
        onSheet={setSheet}
        hasSigns={low || !wide}
        low={low && !isRoomy}
        onResult={() => {
          router.navigate(routes.result(run.runId));
        }}
      />
    ),
    answer: hasAnswer(state) ? (
      <SignAnswer
        state={state}
        onHelped={(of, answer) => {
          act({ kind: 'helped', of, answer });
        }}
      />
    ) : null,
    sheet: sheet && !(wide && !low && sheet === 'signs') ? sheetOf(sheet) : null,
    signs: over ? null : sheetOf('signs'),
    result: over ? <BoardResult run={run} /> : null,
    story: <RunStory state={state} />,
  };
  if (low) return <LowBoard {...parts} isBeside={isBeside} />;
  return wide ? <WideBoard {...parts} /> : <PhoneBoard {...parts} />;
}

/** What there is room for. */
function useBoardSize() {
  const { wide } = useMedia();
  const { height, width } = useWindowDimensions();
  return {
    wide,
    low: height < LOW_PX,
    isBeside: width >= BESIDE_PX,
    isRoomy: width >= ROOMY_PX,
  };
}

const headOf = (
  { subject }: LiveRun['state'],
  sync: RunSync,
  onBench: () => void,
): BoardParts['head'] => ({
  title: `${subject.holeName} · ${subject.pieceName}`,
  subtitle: subject.jobName,
  back: { href: routes.hole(subject.jobId, subject.holeId), label: commonWords.thePlan },
  actions: (
    <Row>
      <RunMark sync={sync} />
      <Press
        paddingHorizontal="$2"
        onPress={onBench}
        aria-label={runWords.soundAndHand}
        testID="open-bench"
      >
        <Icon of={Volume2} />
      </Press>
    </Row>
  ),
});

interface BoardDrawingProps {
  readonly run: LiveRun;
  readonly maxHeight: number;
}

/** The hole as it is now; the rim can be dragged to where it is seen to be. */
const BoardDrawing = ({ run: { state, drives, act }, maxHeight }: BoardDrawingProps) => (
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

const BoardResult = ({ run }: { readonly run: LiveRun }) => (
  <>
    <ResultSummary run={run} />
    <BelieveRun runId={run.runId} />
  </>
);

/** What both layouts are made of. */
interface BoardParts {
  readonly head: Omit<ComponentProps<typeof Page>, 'children'>;
  readonly drawing: (maxHeight: number) => ReactNode;
  readonly now: ReactNode;
  readonly buttons: ReactNode;
  /** What a sign means; null where none is noted. */
  readonly answer: ReactNode;
  /** Opened over the run. */
  readonly sheet: ReactNode;
  readonly signs: ReactNode;
  readonly result: ReactNode;
  readonly story: ReactNode;
}

function WideBoard({
  head,
  drawing,
  now,
  buttons,
  answer,
  sheet,
  signs,
  result,
  story,
}: BoardParts) {
  return (
    <Page {...head} maxWidth={1440} fixed>
      <Row flex={1} alignItems="stretch" minHeight={0}>
        <ScrollView style={{ width: DRAWING_WIDTH, flexGrow: 0 }}>
          {drawing(WIDE_DRAWING_PX)}
          {story}
        </ScrollView>
        <Column flex={1} minHeight={0} justifyContent="space-between">
          <ScrollView style={{ flex: 1 }}>
            {sheet ?? (
              <>
                {answer}
                {now}
                {result}
              </>
            )}
          </ScrollView>
          <Column padding="$3">{buttons}</Column>
        </Column>
        <ScrollView style={{ width: SIGNS_WIDTH, flexGrow: 0 }}>{signs}</ScrollView>
      </Row>
    </Page>
  );
}

/** A phone on its side, or a page enlarged: what is now at the top, the buttons beside it or under it. */
function LowBoard({
  head,
  drawing,
  now,
  buttons,
  answer,
  sheet,
  result,
  story,
  isBeside,
}: BoardParts & { readonly isBeside: boolean }) {
  const body = sheet ?? (
    <>
      {now}
      {answer}
      {result}
      {drawing(LOW_DRAWING_PX)}
      {story}
    </>
  );
  if (!isBeside)
    return (
      <Page {...head} slim footer={buttons}>
        {body}
      </Page>
    );
  return (
    <Page {...head} slim maxWidth={1440} fixed>
      <Row flex={1} alignItems="stretch" minHeight={0}>
        <ScrollView style={{ flex: 1 }}>{body}</ScrollView>
        <Column width="44%" padding="$2" justifyContent="flex-end">
          {buttons}
        </Column>
      </Row>
    </Page>
  );
}

function PhoneBoard({ head, drawing, now, buttons, answer, sheet, result, story }: BoardParts) {
  return (
    <Page {...head} footer={buttons}>
      {sheet ?? (
        <>
          {answer ?? drawing(DRAWING_PX)}
          {now}
          {result}
          {story}
        </>
      )}
    </Page>
  );
}

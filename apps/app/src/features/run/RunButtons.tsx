import { runWords } from '@nucleon/core/words/screens/run';
import { commonWords } from '@nucleon/core/words/screens/common';
import { canMeasure, isOver } from '@nucleon/core/run/runState';
import type { RunButton, RunView } from '@nucleon/core/words/run/runView';
import ArrowDownToLine from 'lucide-react-native/icons/arrow-down-to-line';
import Check from 'lucide-react-native/icons/check';
import Ear from 'lucide-react-native/icons/ear';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import Pause from 'lucide-react-native/icons/pause';
import Play from 'lucide-react-native/icons/play';
import Ruler from 'lucide-react-native/icons/ruler';
import X from 'lucide-react-native/icons/x';
import { Column, Row } from '../../ui/layout';
import { BigButton } from './BigButton';
import { useBench } from './benchStore';
import type { RunSheet } from './runSheet';
import type { LiveRun } from './useRun';

const ICONS = {
  start: Play,
  resume: Play,
  pause: Pause,
  next: Check,
  through: ArrowDownToLine,
} as const;

interface RunButtonsProps {
  readonly run: LiveRun;
  readonly view: RunView;
  readonly sheet: RunSheet | null;
  readonly onSheet: (sheet: RunSheet | null) => void;
  /** The signs have a button of their own; on a wide screen they stand beside. */
  readonly hasSigns: boolean;
  /** The screen is low. */
  readonly low?: boolean;
  readonly onResult: () => void;
}

/** At thumb height: the big one, the end, and the ways to note something. The big one lies under the free hand. */
export function RunButtons({
  run,
  view,
  sheet,
  onSheet,
  hasSigns,
  low = false,
  onResult,
}: RunButtonsProps) {
  const { state } = run;
  const left = useBench(({ hand }) => hand === 'left');
  const order = left ? 'row-reverse' : 'row';
  const eases = state.phase === 'ease-off';
  if (sheet)
    return (
      <Row width="100%" flexDirection={order}>
        <BigButton
          low={low}
          label={runWords.backToRun}
          icon={X}
          onPress={() => {
            onSheet(null);
          }}
          testID="close-sheet"
        />
      </Row>
    );
  if (isOver(state))
    return (
      <Row width="100%">
        <BigButton
          low={low}
          label={state.result ? runWords.theResult : runWords.howDidItCome}
          icon={NotebookPen}
          look="main"
          tall
          onPress={onResult}
          testID="to-result"
        />
      </Row>
    );
  return (
    <Column width="100%" gap={low ? '$1' : '$2'}>
      {state.phase === 'prepare' ? null : (
        <Row gap="$2" flexDirection={order}>
          <NoteButtons run={run} onSheet={onSheet} hasSigns={hasSigns} low={low} />
        </Row>
      )}
      <Row gap="$2" flexDirection={order}>
        <DriveButton run={run} button={view.end} isMain={eases} low={low} testID="run-end" />
        <DriveButton run={run} button={view.main} isMain={!eases} low={low} testID="run-main" />
      </Row>
    </Column>
  );
}

/** Stop, a depth, a sign: what interrupts the cut. */
function NoteButtons({
  run: { state, drives },
  onSheet,
  hasSigns,
  low,
}: Pick<RunButtonsProps, 'run' | 'onSheet' | 'hasSigns' | 'low'>) {
  return (
    <>
      <BigButton
        low={low}
        label={commonWords.stop}
        icon={OctagonX}
        look="stop"
        disabled={!drives}
        onPress={() => {
          onSheet('stop');
        }}
        testID="open-stop"
      />
      <BigButton
        low={low}
        label={runWords.depth}
        icon={Ruler}
        disabled={!drives || !canMeasure(state)}
        onPress={() => {
          onSheet('measure');
        }}
        testID="open-measure"
      />
      {hasSigns ? (
        <BigButton
          low={low}
          label={runWords.sign}
          icon={Ear}
          onPress={() => {
            onSheet('signs');
          }}
          testID="open-signs"
        />
      ) : null}
    </>
  );
}

interface DriveButtonProps extends Pick<RunButtonsProps, 'run' | 'low'> {
  readonly button: RunButton | null;
  /** It is what is to be pressed next. */
  readonly isMain: boolean;
  readonly testID: string;
}

/** What takes the run on. */
const DriveButton = ({ run: { drives, act }, button, isMain, low, testID }: DriveButtonProps) =>
  button ? (
    <BigButton
      low={low}
      label={button.label}
      icon={ICONS[button.act]}
      look={isMain ? 'main' : 'plain'}
      tall
      disabled={!drives}
      onPress={() => {
        act({ kind: button.act });
      }}
      testID={testID}
    />
  ) : null;

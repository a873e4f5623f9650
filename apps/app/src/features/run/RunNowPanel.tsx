import { runWords } from '@nucleon/core/words/screens/run';
import { actWords } from '@nucleon/core/words/run/actWords';
import { isOver } from '@nucleon/core/run/runState';
import type { runView } from '@nucleon/core/words/run/runView';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Small } from '../../ui/text';
import { RefusedNotice } from './RefusedNotice';
import { RunNow, type BenchSize } from './RunNow';
import { useRuns } from './runStore';
import type { LiveRun } from './useRun';
import type { RunSync } from './useRunSync';

interface RunNowPanelProps {
  readonly run: LiveRun;
  readonly sync: RunSync;
  readonly view: ReturnType<typeof runView>;
  /** What was last said aloud, for those who read the screen. */
  readonly said: string;
  readonly onUndo: () => void;
  /** Where there is little room what is now comes first. */
  readonly size?: BenchSize;
}

/** What is now, and what stands in the way of keeping it. */
export function RunNowPanel({ run, sync, view, said, onUndo, size = 'tall' }: RunNowPanelProps) {
  const { state, drives, act, undoable } = run;
  const over = isOver(state);
  const isFull = useRuns((runs) => runs.isFull);
  const now = <RunNow state={state} view={view} size={size} />;
  const low = size !== 'tall';
  return (
    <Column>
      {low ? now : null}
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
      {low ? null : now}
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
            onPress={onUndo}
            testID="run-undo"
          />
        </Row>
      ) : null}
      <Small role="status" aria-live="assertive" height={1} overflow="hidden" testID="run-said">
        {said}
      </Small>
    </Column>
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

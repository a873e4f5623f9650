import { Column } from '../../ui/layout';
import { BenchSheet } from './BenchSheet';
import { MeasureSheet } from './MeasureSheet';
import type { RunSheet } from './runSheet';
import { SignSheet } from './SignSheet';
import { StopSheet } from './StopSheet';
import type { LiveRun } from './useRun';

interface RunSheetProps {
  readonly sheet: RunSheet;
  readonly run: LiveRun;
  readonly columns: 1 | 2;
  readonly onClose: () => void;
}

/** The sheet laid over the run: a sign, a depth, a stop, or sound and hand; what is done on it closes it. */
export function RunSheetOf({ sheet, run: { state, act }, columns, onClose }: RunSheetProps) {
  const done = (what: Parameters<LiveRun['act']>[0]): void => {
    act(what);
    onClose();
  };
  switch (sheet) {
    case 'signs':
      return (
        <SignSheet
          state={state}
          columns={columns}
          onSign={(sign) => {
            done({ kind: 'sign', sign });
          }}
        />
      );
    case 'measure':
      return (
        <MeasureSheet
          state={state}
          onMeasured={(depthMm) => {
            done({ kind: 'measure', depthMm, by: 'rule' });
          }}
        />
      );
    case 'stop':
      return (
        <StopSheet
          onCrack={() => {
            done({ kind: 'crack' });
          }}
          onAbort={(why) => {
            done({ kind: 'abort', why });
          }}
        />
      );
    case 'bench':
      return (
        <Column padding="$4">
          <BenchSheet />
        </Column>
      );
  }
}

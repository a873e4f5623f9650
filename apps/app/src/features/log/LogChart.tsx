import { logWords } from '@nucleon/core/words/screens/log';
import { comparedRunsText } from '@nucleon/core/words/run/comparedRunsText';
import type { StoredRun } from '@nucleon/contract/wire';
import { timeComparison, chipComparison } from '@nucleon/core/run/compareRuns';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import { useTheme } from '@tamagui/core';
import { Suspense, useState } from 'react';
import { LazyLinesChart } from '../../drawing/lazyLinesChart';
import { LineLegend } from '../../drawing/LineLegend';
import { Measured } from '../../drawing/Measured';
import { Chips } from '../../ui/Chips';
import { Column, Panel } from '../../ui/layout';
import { Small } from '../../ui/text';

const HEIGHT_PX = 220;

/** What was planned beside what came, run by run, oldest on the left. */
export function LogChart({ runs }: { readonly runs: readonly StoredRun[] }) {
  const theme = useTheme();
  const [what, setWhat] = useState<'time' | 'chip'>('time');
  const compared = what === 'time' ? timeComparison(runs) : chipComparison(runs);
  const verdict = comparedRunsText(compared);
  const lines = [
    { yKey: 'actual', label: logWords.asItCame, color: theme.rim.val, dash: null },
    { yKey: 'planned', label: logWords.asPlanned, color: theme.water.val, dash: [6, 4] },
    {
      yKey: 'planned90',
      label: what === 'time' ? logWords.nineInTenSooner : logWords.nineInTenUnder,
      color: theme.muted.val,
      dash: [2, 4],
    },
  ];
  return (
    <Panel wet padding="$3" gap="$3" testID="log-chart">
      <Chips
        label={logWords.compared}
        hideLabel
        chips={[
          { value: 'time', label: logWords.time },
          { value: 'chip', label: logWords.exitChip },
        ]}
        value={what}
        onChange={setWhat}
        testID="log-compared"
      />
      <Small testID="log-verdict">{verdict}</Small>
      {compared.points.length > 1 ? (
        <Column gap="$2">
          <Measured>
            {(width) => (
              <Suspense fallback={<Column height={HEIGHT_PX} />}>
                <LazyLinesChart
                  data={compared.points.map((point) => ({ ...point }))}
                  xKey="run"
                  lines={lines}
                  width={width}
                  height={HEIGHT_PX}
                  formatX={(run) => run}
                  formatY={(value) => `${formatDecimals(value, 1)} ${compared.unit}`}
                  label={logWords.runsCount(compared.points.length, verdict)}
                />
              </Suspense>
            )}
          </Measured>
          <LineLegend lines={lines} />
        </Column>
      ) : null}
    </Panel>
  );
}

import type { LearnedLog } from '@nucleon/contract/wire';
import type { LearningReport } from '@nucleon/core/run/learning/learningReport';
import { logWords } from '@nucleon/core/words/screens/log';
import { learningWords } from '@nucleon/core/words/screens/learning';
import { useQuery } from '@tanstack/react-query';
import { useTheme } from '@tamagui/core';
import { Suspense, useState, type ReactNode } from 'react';
import { houseQuery, putHouse } from '../../api/house';
import { learningQuery } from '../../api/learning';
import { useWrite } from '../../api/useWrite';
import { LazyLinesChart } from '../../drawing/lazyLinesChart';
import { LineLegend } from '../../drawing/LineLegend';
import { Measured } from '../../drawing/Measured';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Beside, Column, Half, Panel, Row, WIDE_PX } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Heading, Small, Strong } from '../../ui/text';
import { BandBar } from './BandBar';
import { BelieveRun } from './BelieveRun';
import { useUnits } from '../display/displayStore';
import { Trouble } from '../../ui/Trouble';

/** What the log tells of holes to come, how well that held, and what it does not believe. */
export function LearningScreen() {
  const learning = useQuery(learningQuery);
  const { data } = learning;
  const { report } = data ?? {};
  return (
    <Page
      title={learningWords.title}
      subtitle={learningWords.subtitle}
      back={{ href: routes.log(), label: logWords.theLog }}
      maxWidth={WIDE_PX}
    >
      <Column padding="$4" gap="$5">
        {learning.isError && !data ? (
          <Failed error={learning.error} onRetry={() => void learning.refetch()} />
        ) : null}
        {learning.isPending ? <Loading what={learningWords.theLog} /> : null}
        {data && !report?.runs ? (
          <Empty title={learningWords.nothingYet} text={learningWords.nothingYetText} />
        ) : null}
        {report?.runs ? <Told report={report} doubted={data?.doubted ?? []} /> : null}
      </Column>
    </Page>
  );
}

/** What most runs tell of comes first; the rest tells little yet. */
const FIRST_LEVELS = 6;

function Told({
  report,
  doubted,
}: { readonly report: LearningReport } & Pick<LearnedLog, 'doubted'>) {
  const units = useUnits();
  const [all, setAll] = useState(false);
  return (
    <Beside>
      <Half>
        <Column gap="$3">
          <Strong testID="learning-held">{learningWords.held(report.calibration)}</Strong>
          <Small>{learningWords.believed(report)}</Small>
          <PlansGoBy />
        </Column>
        <HeldChart report={report} />
        <Odds report={report} />
        <Part title={learningWords.logNext} testID="learning-next">
          {report.next.map((one) => (
            <Line key={`${one.material} ${one.family}`} text={learningWords.nextOf(one)} />
          ))}
        </Part>
      </Half>
      <Half>
        <Part title={learningWords.learned} note={learningWords.asLong} testID="learning-levels">
          {report.levels.slice(0, all ? undefined : FIRST_LEVELS).map((one) => (
            <Column
              key={`${one.level} ${one.name}`}
              padding="$3"
              gap="$1"
              borderTopWidth={1}
              borderColor="$line"
            >
              <Row justifyContent="space-between" gap="$3" flexWrap="wrap">
                <Strong>{learningWords.levelOf(one)}</Strong>
                <Small>{learningWords.rateOf(one)}</Small>
              </Row>
              <BandBar rate={one.rate} />
            </Column>
          ))}
        </Part>
        {report.levels.length > FIRST_LEVELS ? (
          <Button
            label={all ? learningWords.fewer : learningWords.allLevels(report.levels.length)}
            look="quiet"
            onPress={() => {
              setAll(!all);
            }}
            testID="learning-all"
          />
        ) : null}
        <Part title={learningWords.changeTheBit} testID="learning-bits">
          {report.bits.map((bit) => (
            <Column key={bit.bitId} padding="$3" borderTopWidth={1} borderColor="$line">
              <Strong>{bit.name}</Strong>
              <Small>{learningWords.dueOf(bit, units)}</Small>
            </Column>
          ))}
        </Part>
        <Part title={learningWords.notBelieved} testID="learning-doubted">
          {doubted.map((run) => (
            <DoubtedRun key={run.runId} run={run} />
          ))}
        </Part>
      </Half>
    </Beside>
  );
}

interface PartProps {
  readonly title: string;
  readonly note?: string;
  readonly testID: string;
  readonly children: readonly ReactNode[];
}

/** A list with its heading; nothing where it is empty. */
const Part = ({ title, note, testID, children }: PartProps) =>
  children.length > 0 ? (
    <Column gap="$2" testID={testID}>
      <Heading aria-level={2}>{title}</Heading>
      {note ? <Small>{note}</Small> : null}
      <Panel wet>{children}</Panel>
    </Column>
  ) : null;

const Line = ({ text }: { readonly text: string }) => (
  <Small color="$ink" padding="$3" borderTopWidth={1} borderColor="$line">
    {text}
  </Small>
);

/** Whether plans take what the log tells: for the whole workshop. */
function PlansGoBy() {
  const house = useQuery(houseQuery);
  const save = useWrite((fromLog: 'take' | 'leave') =>
    house.data ? putHouse({ ...house.data, fromLog }) : Promise.resolve(null),
  );
  if (!house.data) return null;
  return (
    <>
      <Chips
        label={learningWords.plansGoBy}
        chips={[
          { value: 'take', label: learningWords.logToo },
          { value: 'leave', label: learningWords.calculationAlone },
        ]}
        value={house.data.fromLog ?? 'take'}
        onChange={save.run}
        testID="plans-go-by"
      />
      <Trouble text={save.trouble} />
    </>
  );
}

const CHART_PX = 200;

function HeldChart({ report: { calibration } }: { readonly report: LearningReport }) {
  const theme = useTheme();
  const { byMonth, byMaterial } = calibration;
  const lines = [
    { yKey: 'came', label: learningWords.came, color: theme.rim.val, dash: null },
    { yKey: 'meant', label: learningWords.meant, color: theme.water.val, dash: [6, 4] },
  ];
  return (
    <Part title={learningWords.howOftenHeld} testID="learning-calibration">
      {[
        ...(byMonth.length > 1
          ? [
              <Column key="chart" padding="$3" gap="$2">
                <Measured>
                  {(width) => (
                    <Suspense fallback={<Column height={CHART_PX} />}>
                      <LazyLinesChart
                        data={byMonth.map(({ inside, n }, index) => ({
                          month: index,
                          came: inside / n,
                          meant: 0.8,
                        }))}
                        xKey="month"
                        lines={lines}
                        width={width}
                        height={CHART_PX}
                        formatX={(index) => learningWords.monthOf(byMonth[Number(index)]?.of ?? '')}
                        formatY={learningWords.percent}
                        label={learningWords.held(calibration)}
                      />
                    </Suspense>
                  )}
                </Measured>
                <LineLegend lines={lines} />
              </Column>,
            ]
          : []),
        ...byMaterial.map((one) => <Line key={one.of} text={learningWords.heldOf(one)} />),
      ]}
    </Part>
  );
}

const Odds = ({ report: { odds } }: { readonly report: LearningReport }) => (
  <Part title={learningWords.odds} testID="learning-odds">
    {odds.map((one, index) => (
      <Line key={index} text={learningWords.oddsOf(one)} />
    ))}
  </Part>
);

const DoubtedRun = ({ run }: { readonly run: LearnedLog['doubted'][number] }) => (
  <Column borderTopWidth={1} borderColor="$line">
    <Strong paddingHorizontal="$3" paddingTop="$3">
      {run.holeName} · {run.pieceName}
    </Strong>
    <BelieveRun runId={run.runId} of={learningWords.runOf(run.holeName, run.pieceName)} />
  </Column>
);

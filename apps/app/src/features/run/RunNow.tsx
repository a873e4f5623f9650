import { runWords } from '@nucleon/core/words/screens/run';
import { PHASES } from '@nucleon/core/data/phases';
import { comingUp, forceNow } from '@nucleon/core/run/runFigures';
import type { RunView } from '@nucleon/core/words/run/runView';
import { legOf, type RunState } from '@nucleon/core/run/runState';
import { showForce } from '@nucleon/core/words/units/formatQuantity';
import { formatClock } from '@nucleon/core/words/units/formatClock';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { showDepth } from '@nucleon/core/words/units/showDepth';
import { Column, Row } from '../../ui/layout';
import { Label, Numeral, Strong, Title } from '../../ui/text';
import { useUnits } from '../display/displayStore';

/** Read at an arm’s length. */
const LINE_PX = 34;
const DETAIL_PX = 22;
const NUMBER_PX = 58;

/** The one thing to do, the big numbers, and what comes next. */
export function RunNow({ state, view }: { readonly state: RunState; readonly view: RunView }) {
  const units = useUnits();
  const next = comingUp(state);
  const force = forceNow(state);
  const F = force === null ? null : showForce(force, units);
  const tone =
    state.phase === 'ease-off' || state.phase === 'lift'
      ? '$rim'
      : isHalt(state)
        ? '$stop'
        : '$ink';
  const leg = legOf(state);
  return (
    <Column gap="$2" padding="$3">
      <Title
        fontSize={LINE_PX}
        lineHeight={LINE_PX + 6}
        color={tone}
        aria-level={2}
        testID="run-line"
      >
        {view.line}
      </Title>
      <Strong
        fontSize={DETAIL_PX}
        lineHeight={DETAIL_PX + 6}
        fontFamily="$body"
        testID="run-detail"
      >
        {view.detail}
      </Strong>
      {next ? (
        <Row gap="$4" flexWrap="wrap" alignItems="flex-end">
          <Figure
            label={view.band ? runWords.deepBand(view.band) : runWords.deep}
            value={showDepth(state.depthMm, units).value}
            beside={runWords.of(formatLengthShort(leg.depthMm, units))}
            testID="run-depth"
          />
          {F && state.phase !== 'lift' ? (
            <Figure label={runWords.press} value={F.value} beside={F.unit} testID="run-force" />
          ) : null}
          {next.inS !== null && next.kind !== 'end' ? (
            <Figure
              label={NEXT_LABEL[next.kind]}
              value={formatClock(next.inS)}
              beside=""
              rim={next.inS <= 5}
              testID="run-countdown"
            />
          ) : null}
        </Row>
      ) : null}
      {view.left ? (
        <Strong fontSize={DETAIL_PX} lineHeight={DETAIL_PX + 6} testID="run-left">
          {view.left}
        </Strong>
      ) : null}
    </Column>
  );
}

const NEXT_LABEL = {
  lift: runWords.liftIn,
  'water-change': runWords.waterIn,
  'core-break': runWords.coreIn,
  'water-off': runWords.waterOffIn,
  'step-change': runWords.nextBitIn,
  flip: runWords.halfWayIn,
  'ease-off': runWords.easeOffIn,
} as const;

const isHalt = ({ phase }: RunState): boolean => PHASES[phase].waits === true;

function Figure({
  label,
  value,
  beside,
  rim = false,
  testID,
}: {
  readonly label: string;
  readonly value: string;
  readonly beside: string;
  readonly rim?: boolean;
  readonly testID: string;
}) {
  return (
    <Column testID={testID}>
      <Label fontSize={22} lineHeight={26}>
        {label}
      </Label>
      <Row gap="$2" alignItems="baseline">
        <Numeral fontSize={NUMBER_PX} lineHeight={NUMBER_PX + 4} color={rim ? '$rim' : '$ink'}>
          {value}
        </Numeral>
        {beside ? (
          <Label fontSize={22} lineHeight={26}>
            {beside}
          </Label>
        ) : null}
      </Row>
    </Column>
  );
}

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
const LETTERS_PX = {
  tall: { line: 34, detail: 22, number: 58, label: 22 },
  /** A phone on its side: the line, the force and the countdown before all else. */
  side: { line: 30, detail: 18, number: 52, label: 16 },
  /** A page enlarged four times. */
  low: { line: 22, detail: 16, number: 32, label: 13 },
} as const;
/** How much room the bench screen has. */
export type BenchSize = keyof typeof LETTERS_PX;
type Letters = (typeof LETTERS_PX)[BenchSize];

/** The one thing to do, the big numbers, and what comes next. */
export function RunNow({
  state,
  view,
  size = 'tall',
}: {
  readonly state: RunState;
  readonly view: RunView;
  readonly size?: BenchSize;
}) {
  const px = LETTERS_PX[size];
  const low = size !== 'tall';
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
  const detail = (
    <Strong fontSize={px.detail} lineHeight={px.detail + 6} fontFamily="$body" testID="run-detail">
      {view.detail}
    </Strong>
  );
  const figures = next ? (
    <Row gap={low ? '$3' : '$4'} flexWrap="wrap" alignItems="flex-end">
      <Figure
        px={px}
        label={view.band && !low ? runWords.deepBand(view.band) : runWords.depth}
        value={showDepth(state.depthMm, units).value}
        beside={runWords.of(formatLengthShort(leg.depthMm, units))}
        testID="run-depth"
      />
      {F && state.phase !== 'lift' ? (
        <Figure px={px} label={runWords.press} value={F.value} beside={F.unit} testID="run-force" />
      ) : null}
      {next.inS !== null && next.kind !== 'end' ? (
        <Figure
          px={px}
          label={NEXT_LABEL[next.kind]}
          value={formatClock(next.inS)}
          beside=""
          rim={next.inS <= 5}
          testID="run-countdown"
        />
      ) : null}
    </Row>
  ) : null;
  return (
    <Column gap={low ? '$1' : '$2'} padding={low ? '$1' : '$3'}>
      <Title
        fontSize={px.line}
        lineHeight={px.line + 6}
        color={tone}
        aria-level={2}
        testID="run-line"
      >
        {view.line}
      </Title>
      {low ? null : detail}
      {figures}
      {low ? detail : null}
      {view.left ? (
        <Strong fontSize={px.detail} lineHeight={px.detail + 6} testID="run-left">
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
  'nearly-through': runWords.nearlyThroughIn,
} as const;

const isHalt = ({ phase }: RunState): boolean => PHASES[phase].waits === true;

function Figure({
  px,
  label,
  value,
  beside,
  rim = false,
  testID,
}: {
  readonly px: Letters;
  readonly label: string;
  readonly value: string;
  readonly beside: string;
  readonly rim?: boolean;
  readonly testID: string;
}) {
  return (
    <Column testID={testID}>
      <Label fontSize={px.label} lineHeight={px.label + 4}>
        {label}
      </Label>
      <Row gap="$2" alignItems="baseline">
        <Numeral fontSize={px.number} lineHeight={px.number + 4} color={rim ? '$rim' : '$ink'}>
          {value}
        </Numeral>
        {beside ? (
          <Label fontSize={px.label} lineHeight={px.label + 4}>
            {beside}
          </Label>
        ) : null}
      </Row>
    </Column>
  );
}

import { runWords } from '@nucleon/core/words/screens/run';
import { formatClock } from '@nucleon/core/words/units/formatClock';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import type { RunState, StoryLine } from '@nucleon/core/run/runState';
import { happeningText, misfitText } from '@nucleon/core/words/run/storyWords';
import { Column, Row } from '../../ui/layout';
import { Heading, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

/** Lifts come and go by the dozen: they are counted, not listed. */
const isLift = ({ what }: StoryLine): boolean => what.code === 'stop' && what.stop.kind === 'lift';
const isListed = (line: StoryLine): boolean =>
  !isLift(line) &&
  !(line.what.code === 'phase' && (line.what.phase === 'seat' || line.what.phase === 'cut'));

/** What happened, when and how deep. */
export function RunStory({ state }: { readonly state: RunState }) {
  const units = useUnits();
  const lines = state.story.filter(isListed);
  const lifts = state.story.filter(isLift).length;
  return (
    <Column padding="$4" gap="$2" testID="story">
      <Heading aria-level={2}>{runWords.whatHappened}</Heading>
      {lines.length === 0 ? <Small>{runWords.nothingYet}</Small> : null}
      <Column render="ol" padding={0} margin={0}>
        {lines.map(({ atS, what, depthMm, by }, index) => (
          <Row key={index} render="li" gap="$3" paddingVertical="$1" alignItems="flex-start">
            <Small width={64} textAlign="right" fontVariant={['tabular-nums']}>
              {formatClock(Math.floor(atS))}
            </Small>
            <Strong
              flex={1}
              color={by === 'clock' ? '$muted' : '$ink'}
              fontSize="$2"
              lineHeight="$2"
            >
              {happeningText(what)}
            </Strong>
            <Small>{formatLengthShort(Math.round(depthMm * 10) / 10, units)}</Small>
          </Row>
        ))}
      </Column>
      {lifts > 0 ? <Small>{runWords.and(lifts)}</Small> : null}
      {state.flags.length > 0 ? (
        <Column gap="$1" testID="run-flags">
          <Strong>{runWords.whatDoesNotFit}</Strong>
          {state.flags.map((flag) => (
            <Small key={flag.eventId + flag.code} color="$caution">
              {misfitText(flag, units)}
            </Small>
          ))}
        </Column>
      ) : null}
    </Column>
  );
}

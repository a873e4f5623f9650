import { runWords } from '@nucleon/core/words/screens/run';
import { diagnoseRun, signToFollow } from '@nucleon/core/run/runScene';
import { causeInWords } from '@nucleon/core/words/run/causeInWords';
import type { HelpAnswer } from '@nucleon/core/data/choices';
import { isOver, type RunState, type SignSeen } from '@nucleon/core/run/runState';
import { SIGNS } from '@nucleon/core/data/signs/signs';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import CircleHelp from 'lucide-react-native/icons/circle-question-mark';
import type { LucideIcon } from 'lucide-react-native';
import ThumbsDown from 'lucide-react-native/icons/thumbs-down';
import ThumbsUp from 'lucide-react-native/icons/thumbs-up';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { Body, Small, Strong } from '../../ui/text';
import { BigButton } from './BigButton';

const TONES = { fine: '$fine', caution: '$caution', stop: '$stop' } as const;
/** So long what was answered stays in sight, s. */
const SHOWN_S = 60;
/** That all is well is soon read, s. */
const FINE_SHOWN_S = 6;
const CAUSES_SHOWN = 3;

interface SignAnswerProps {
  readonly state: RunState;
  readonly onHelped: (of: string, answer: HelpAnswer) => void;
}

/** Where nothing helped, what may be the matter stays. */
const isFresh = (state: RunState, { sign, atS, helped }: SignSeen): boolean => {
  const agoS = state.elapsedS - atS;
  if (helped === 'yes' || helped === 'not-sure') return false;
  return (
    agoS <= (helped === 'no' ? 3 * SHOWN_S : SIGNS[sign].level === 'fine' ? FINE_SHOWN_S : SHOWN_S)
  );
};

/** Something is to be said about a sign: it takes the drawing’s place on a phone. */
export const hasAnswer = (state: RunState): boolean => {
  const last = state.signs.at(-1);
  return (
    !isOver(state) && (signToFollow(state) !== null || (last !== undefined && isFresh(state, last)))
  );
};

/** What the last sign means here, the one thing to do, and later: did it help? */
export function SignAnswer({ state, onHelped }: SignAnswerProps) {
  const [open, setOpen] = useState(false);
  const last = state.signs.at(-1);
  const follow = signToFollow(state);
  if (follow) return <FollowUp seen={follow} onHelped={onHelped} />;
  if (!last || !isFresh(state, last)) return null;
  const { title, means, todo, level } = SIGNS[last.sign];
  const causes =
    level === 'fine' ? [] : diagnoseRun(state).slice(0, CAUSES_SHOWN).map(causeInWords);
  return (
    <Column
      padding="$3"
      gap="$2"
      borderLeftWidth={6}
      borderLeftColor={TONES[level]}
      backgroundColor="$surface"
      role="status"
      aria-live="polite"
      testID="sign-answer"
    >
      <Small fontSize={22} lineHeight={26}>
        {title}: {means}
      </Small>
      <Strong fontSize={24} lineHeight={30} color={level === 'fine' ? '$ink' : TONES[level]}>
        {todo}
      </Strong>
      {causes.length > 0 ? (
        <Column gap="$1" testID="causes">
          {causes.slice(0, open ? CAUSES_SHOWN : 1).map((cause, index) => (
            <Column key={cause.id}>
              <Body fontSize={22} lineHeight={28}>
                {runWords.in100(index, lower(cause.title), formatDecimals(100 * cause.share, 0))}
              </Body>
              {index === 0 && open ? <Lines lines={cause.because} /> : null}
            </Column>
          ))}
          <Button
            label={open ? runWords.less : runWords.whyAndWhatElse}
            look="quiet"
            onPress={() => {
              setOpen(!open);
            }}
            testID="why-cause"
          />
        </Column>
      ) : null}
    </Column>
  );
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

const ANSWERS = [
  ['yes', runWords.yes, ThumbsUp],
  ['no', runWords.no, ThumbsDown],
  ['not-sure', '?', CircleHelp],
] as const satisfies readonly (readonly [HelpAnswer, string, LucideIcon])[];

function FollowUp({
  seen,
  onHelped,
}: {
  readonly seen: SignSeen;
  readonly onHelped: SignAnswerProps['onHelped'];
}) {
  const { title } = SIGNS[seen.sign];
  return (
    <Column padding="$3" gap="$2" backgroundColor="$waterWash" testID="follow-up" role="status">
      <Strong fontSize={22} lineHeight={28}>
        {runWords.didItHelp(title)}
      </Strong>
      <Row gap="$2">
        {ANSWERS.map(([answer, label, icon]) => (
          <BigButton
            key={answer}
            label={label}
            icon={icon}
            onPress={() => {
              onHelped(seen.eventId, answer);
            }}
            testID={`helped-${answer}`}
          />
        ))}
      </Row>
    </Column>
  );
}

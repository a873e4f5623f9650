import { runWords } from '@nucleon/core/words/screens/run';
import { signSceneOf } from '@nucleon/core/run/runScene';
import type { RunState } from '@nucleon/core/run/runState';
import { signsHere, type Sign, type SignId } from '@nucleon/core/data/signs/signs';
import { Column, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Heading, Strong } from '../../ui/text';

const SENSES = { eye: runWords.youSee, ear: runWords.youHear, hand: runWords.youFeel } as const;
const EDGE = { fine: '$fine', caution: '$caution', stop: '$stop' } as const;
const WORD = { fine: 'fine', caution: runWords.takeCare, stop: 'stop' } as const;

/** All that can be seen, heard or felt here, one tap each. */
export function SignSheet({
  state,
  onSign,
  columns,
}: {
  readonly state: RunState;
  readonly onSign: (sign: SignId) => void;
  readonly columns: 1 | 2;
}) {
  const signs = signsHere(signSceneOf(state));
  return (
    <Column gap="$4" padding="$3" testID="signs">
      {(['eye', 'ear', 'hand'] as const).map((sense) => (
        <Column key={sense} gap="$2">
          <Heading aria-level={3} fontSize={22} lineHeight={28}>
            {SENSES[sense]}
          </Heading>
          <Row flexWrap="wrap" gap="$2" alignItems="stretch">
            {signs
              .filter(({ by }) => by === sense)
              .map((sign) => (
                <SignButton key={sign.id} sign={sign} columns={columns} onSign={onSign} />
              ))}
          </Row>
        </Column>
      ))}
    </Column>
  );
}

function SignButton({
  sign,
  columns,
  onSign,
}: {
  readonly sign: Sign & { readonly id: SignId };
  readonly columns: 1 | 2;
  readonly onSign: (sign: SignId) => void;
}) {
  return (
    <Press
      onPress={() => {
        onSign(sign.id);
      }}
      aria-label={`${sign.title}: ${WORD[sign.level]}`}
      testID={`sign-${sign.id}`}
      minHeight={72}
      width={columns === 2 ? '48.6%' : '100%'}
      paddingHorizontal="$3"
      borderWidth={1}
      borderColor="$line"
      borderLeftWidth={6}
      borderLeftColor={EDGE[sign.level]}
      backgroundColor="$surface"
      hoverStyle={{ backgroundColor: '$raised' }}
      pressStyle={{ backgroundColor: '$raised' }}
    >
      <Strong fontSize={22} lineHeight={26} textAlign="left" flexShrink={1}>
        {sign.title}
      </Strong>
    </Press>
  );
}

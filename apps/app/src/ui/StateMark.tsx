import type { LucideIcon } from 'lucide-react-native';
import { Icon } from './Icon';
import { Row } from './layout';
import type { Palette } from './palette';
import { Small } from './text';

export type Mark = readonly [icon: LucideIcon, word: string, tone: keyof Palette];

/** Whether the server has what is on the screen, said in a word and read out as it changes. */
export function StateMark({
  mark: [icon, word, tone],
  testID,
}: {
  readonly mark: Mark;
  readonly testID: string;
}) {
  return (
    <Row gap="$1" role="status" aria-live="polite" testID={testID} paddingHorizontal="$2">
      <Icon of={icon} tone={tone} size={16} />
      <Small color={`$${tone}`} fontSize="$1">
        {word}
      </Small>
    </Row>
  );
}

import Check from 'lucide-react-native/icons/check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Pencil from 'lucide-react-native/icons/pencil';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Icon } from '../../ui/Icon';
import { Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import type { SaveState } from './holeDraft';

const MARKS = {
  saved: [Check, 'Saved', 'fine'],
  waiting: [Pencil, 'Saving…', 'muted'],
  saving: [Pencil, 'Saving…', 'muted'],
  unreachable: [CloudOff, 'Kept here', 'caution'],
  refused: [TriangleAlert, 'Not saved', 'stop'],
  conflict: [TriangleAlert, 'Changed elsewhere', 'stop'],
} as const satisfies Record<SaveState['kind'], unknown>;

/** Whether the server has what is on the screen, said in a word. */
export function SaveMark({ save }: { readonly save: Pick<SaveState, 'kind'> }) {
  const [icon, word, tone] = MARKS[save.kind];
  return (
    <Row gap="$1" role="status" aria-live="polite" testID="save-mark" paddingHorizontal="$2">
      <Icon of={icon} tone={tone} size={16} />
      <Small color={`$${tone}`} fontSize="$1">
        {word}
      </Small>
    </Row>
  );
}

import Check from 'lucide-react-native/icons/check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Pencil from 'lucide-react-native/icons/pencil';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Icon } from '../../ui/Icon';
import { Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import type { RunSync } from './useRunSync';

const MARKS = {
  fetching: [Pencil, 'Fetching…', 'muted'],
  sending: [Pencil, 'Sending…', 'muted'],
  sent: [Check, 'Logged', 'fine'],
  away: [CloudOff, 'Kept here', 'caution'],
  unknown: [TriangleAlert, 'Not found', 'stop'],
  refused: [TriangleAlert, 'Kept here', 'stop'],
} as const satisfies Record<RunSync['kind'], unknown>;

/** Whether the server has the record, in a word. */
export function RunMark({ sync }: { readonly sync: RunSync }) {
  const [icon, word, tone] = MARKS[sync.kind];
  return (
    <Row gap="$1" role="status" aria-live="polite" testID="run-mark" paddingHorizontal="$2">
      <Icon of={icon} tone={tone} size={18} />
      <Small color={`$${tone}`} fontSize="$2">
        {word}
      </Small>
    </Row>
  );
}

import Check from 'lucide-react-native/icons/check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Pencil from 'lucide-react-native/icons/pencil';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { StateMark, type Mark } from '../../ui/StateMark';
import type { SaveState } from './versionedDraft';

const MARKS = {
  saved: [Check, 'Saved', 'fine'],
  waiting: [Pencil, 'Saving…', 'muted'],
  saving: [Pencil, 'Saving…', 'muted'],
  unreachable: [CloudOff, 'Kept here', 'caution'],
  refused: [TriangleAlert, 'Not saved', 'stop'],
  gone: [TriangleAlert, 'Deleted elsewhere', 'stop'],
  conflict: [TriangleAlert, 'Changed elsewhere', 'stop'],
} as const satisfies Record<SaveState<unknown>['kind'], Mark>;

/** Whether the server has what is on the screen, said in a word. */
export function SaveMark({ save }: { readonly save: Pick<SaveState<unknown>, 'kind'> }) {
  return <StateMark mark={MARKS[save.kind]} testID="save-mark" />;
}

import { draftWords } from '@nucleon/core/words/screens/draft';
import Check from 'lucide-react-native/icons/check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Pencil from 'lucide-react-native/icons/pencil';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { StateMark, type Mark } from '../../ui/StateMark';
import type { SaveState } from './versionedDraft';

const MARKS = {
  saved: [Check, draftWords.saved, 'fine'],
  waiting: [Pencil, 'Saving…', 'muted'],
  saving: [Pencil, 'Saving…', 'muted'],
  unreachable: [CloudOff, draftWords.keptHere, 'caution'],
  refused: [TriangleAlert, draftWords.notSaved, 'stop'],
  gone: [TriangleAlert, draftWords.deletedElsewhere, 'stop'],
  conflict: [TriangleAlert, draftWords.changedElsewhere, 'stop'],
} as const satisfies Record<SaveState<unknown>['kind'], Mark>;

/** Whether the server has what is on the screen, said in a word. */
export function SaveMark({ save }: { readonly save: Pick<SaveState<unknown>, 'kind'> }) {
  return <StateMark mark={MARKS[save.kind]} testID="save-mark" />;
}

import { draftWords } from '@nucleon/core/words/screens/draft';
import Check from 'lucide-react-native/icons/check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Eye from 'lucide-react-native/icons/eye';
import Pencil from 'lucide-react-native/icons/pencil';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { useMayWork } from '../../ui/mayWork';
import { StateMark, type Mark } from '../../ui/StateMark';
import type { SaveState } from './versionedDraft';

const MARKS = {
  saved: [Check, draftWords.saved, 'fine'],
  waiting: [Pencil, draftWords.saving, 'muted'],
  saving: [Pencil, draftWords.saving, 'muted'],
  unreachable: [CloudOff, draftWords.keptHere, 'caution'],
  refused: [TriangleAlert, draftWords.notSaved, 'stop'],
  gone: [TriangleAlert, draftWords.deletedElsewhere, 'stop'],
  conflict: [TriangleAlert, draftWords.changedElsewhere, 'stop'],
} as const satisfies Record<SaveState<unknown>['kind'], Mark>;

const TRIED = [Eye, draftWords.triedOnly, 'muted'] as const satisfies Mark;

/** Whether the server has what is on the screen, said in a word; whoever only reads may try, and nothing is kept. */
export function SaveMark({ save }: { readonly save: Pick<SaveState<unknown>, 'kind'> }) {
  const isTried = !useMayWork() && save.kind !== 'saved';
  const mark = isTried ? TRIED : MARKS[save.kind];
  return <StateMark mark={mark} testID="save-mark" />;
}

import { runWords } from '@nucleon/core/words/screens/run';
import Check from 'lucide-react-native/icons/check';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import Pencil from 'lucide-react-native/icons/pencil';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { StateMark, type Mark } from '../../ui/StateMark';
import type { RunSync } from './useRunSync';

const MARKS = {
  fetching: [Pencil, runWords.fetching, 'muted'],
  writing: [Pencil, runWords.writing, 'muted'],
  sending: [Pencil, runWords.sending, 'muted'],
  sent: [Check, runWords.logged, 'fine'],
  away: [CloudOff, runWords.keptHere, 'caution'],
  unknown: [TriangleAlert, runWords.notFound, 'stop'],
  refused: [TriangleAlert, runWords.notTaken, 'stop'],
} as const satisfies Record<RunSync['kind'], Mark>;

/** Whether the server has the record, in a word. */
export function RunMark({ sync }: { readonly sync: RunSync }) {
  return <StateMark mark={MARKS[sync.kind]} testID="run-mark" />;
}

import { uiWords } from '@nucleon/core/words/screens/ui';
import Redo2 from 'lucide-react-native/icons/redo-2';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { Icon } from './Icon';
import { Row } from './layout';
import { Press } from './Press';

interface UndoRedoProps {
  readonly draft: { readonly past: readonly unknown[]; readonly future: readonly unknown[] };
  readonly dispatch: (action: { readonly type: 'undo' } | { readonly type: 'redo' }) => void;
}

/** One step back, one step forth. */
export function UndoRedo({ draft, dispatch }: UndoRedoProps) {
  const button = (label: string, type: 'undo' | 'redo', steps: readonly unknown[]) => {
    const off = steps.length === 0;
    return (
      <Press
        aria-label={label}
        aria-disabled={off}
        disabled={off}
        onPress={() => {
          dispatch({ type });
        }}
        paddingHorizontal="$3"
        testID={type}
      >
        <Icon of={type === 'undo' ? Undo2 : Redo2} />
      </Press>
    );
  };
  return (
    <Row>
      {button(uiWords.undo, 'undo', draft.past)}
      {button(uiWords.redo, 'redo', draft.future)}
    </Row>
  );
}

import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import Trash from 'lucide-react-native/icons/trash';
import type { ReactNode } from 'react';
import { useDelete, useWrite, type Deletion } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { useMayWork } from '../../ui/mayWork';
import { UndoRedo } from '../../ui/UndoRedo';
import { DraftTrouble } from '../draft/DraftTrouble';
import { SaveMark } from '../draft/SaveMark';
import type { KitDraft } from './useKitDraft';
import { Trouble } from '../../ui/Trouble';

interface KitFormShellProps<D> {
  /** Where what is typed is kept, undone and put together with what others typed. */
  readonly draft?: KitDraft<D>;
  readonly children: ReactNode;
  readonly canSave: boolean;
  /** What it is taken out of, as the undo says it. */
  readonly from?: string;
  /** Saves it and closes. */
  readonly save: () => Promise<void>;
  readonly onDone: () => void;
  readonly deletion?: Deletion | undefined;
  /** Keeps it for its history, out of the plans; or takes it out again. */
  readonly putAway?:
    { readonly away: boolean; readonly toggle: () => Promise<unknown> } | undefined;
}

/** While these last, waiting is enough. */
const GOES_ON: ReadonlySet<string> = new Set(['saved', 'waiting', 'saving']);

/** Saves a part of the kit, says what keeps it from being saved, or puts it away. */
export function KitFormShell<D extends object>({
  draft,
  children,
  canSave,
  from = kitWords.fromYourKit,
  save,
  onDone,
  deletion,
  putAway,
}: KitFormShellProps<D>) {
  const mayWork = useMayWork();
  const kept = useWrite(save);
  const saved = draft && !draft.isNew ? draft.handle.draft.save : null;
  const away = useWrite(() => putAway?.toggle() ?? Promise.resolve(), { done: onDone });
  const gone = useDelete(draft?.close ?? onDone, from);
  const trouble = kept.trouble || away.trouble || gone.trouble;
  return (
    <Column padding="$4" gap="$4" backgroundColor="$ground" testID="kit-form">
      {children}
      {draft ? (
        <DraftTrouble {...draft.handle} done={kitWords.typed} bringBack={draft.bringBack} />
      ) : null}
      <Trouble text={trouble} />
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={saved ? kitWords.done : kitWords.save}
          writes
          look="main"
          onPress={() => {
            kept.run();
          }}
          disabled={!canSave || kept.busy}
          testID="kit-save"
        />
        {saved ? <SaveMark save={saved} /> : null}
        {saved && mayWork ? null : (
          <Button label={commonWords.close} onPress={draft?.close ?? onDone} />
        )}
        {saved && !GOES_ON.has(saved.kind) ? (
          <Button label={kitWords.leaveIt} look="quiet" onPress={draft?.close ?? onDone} />
        ) : null}
        {draft ? <UndoRedo {...draft.handle} /> : null}
        {putAway ? (
          <Button
            label={putAway.away ? kitWords.useItAgain : kitWords.putAway}
            writes
            onPress={() => {
              away.run();
            }}
            testID="kit-retire"
          />
        ) : null}
        {deletion ? (
          <Button
            label={kitWords.delete}
            writes
            icon={Trash}
            look="stop"
            onPress={() => {
              gone.run(deletion);
            }}
          />
        ) : null}
      </Row>
    </Column>
  );
}

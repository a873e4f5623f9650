import { useQueryClient } from '@tanstack/react-query';
import Trash from 'lucide-react-native/icons/trash';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { UndoRedo } from '../../ui/UndoRedo';
import { DraftTrouble } from '../draft/DraftTrouble';
import type { KitDraft } from './useKitDraft';

interface KitFormShellProps<D> {
  /** Where what is typed is kept, undone and put together with what others typed. */
  readonly draft?: KitDraft<D>;
  readonly children: ReactNode;
  readonly canSave: boolean;
  /** Saves it and closes. */
  readonly save: () => Promise<void>;
  readonly onDone: () => void;
  readonly onDelete?: (() => Promise<void>) | undefined;
  /** Keeps it for its history, out of the plans; or takes it out again. */
  readonly putAway?:
    { readonly away: boolean; readonly toggle: () => Promise<unknown> } | undefined;
}

/** Saves a part of the kit, says what keeps it from being saved, or puts it away. */
export function KitFormShell<D extends object>({
  draft,
  children,
  canSave,
  save,
  onDone,
  onDelete,
  putAway,
}: KitFormShellProps<D>) {
  const client = useQueryClient();
  const [trouble, setTrouble] = useState('');
  const trying = (work: () => Promise<unknown>) => (): void => {
    setTrouble('');
    work().catch((error: unknown) => {
      setTrouble(error instanceof Error ? error.message : 'It was not saved.');
    });
  };
  return (
    <Column padding="$4" gap="$4" backgroundColor="$ground" testID="kit-form">
      {children}
      {draft ? <DraftTrouble {...draft.handle} done="typed" bringBack={draft.bringBack} /> : null}
      {trouble ? (
        <Small color="$stop" role="alert">
          {trouble}
        </Small>
      ) : null}
      <Row gap="$2" flexWrap="wrap">
        <Button
          label="Save"
          look="main"
          onPress={trying(save)}
          disabled={!canSave}
          testID="kit-save"
        />
        <Button label="Close" onPress={draft?.close ?? onDone} />
        {draft ? <UndoRedo {...draft.handle} /> : null}
        {putAway ? (
          <Button
            label={putAway.away ? 'Use it again' : 'Put away'}
            onPress={trying(async () => {
              await putAway.toggle();
              await client.invalidateQueries();
              onDone();
            })}
            testID="kit-retire"
          />
        ) : null}
        {onDelete ? (
          <Button label="Delete" icon={Trash} look="stop" onPress={trying(onDelete)} />
        ) : null}
      </Row>
    </Column>
  );
}

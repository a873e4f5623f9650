import { useQueryClient } from '@tanstack/react-query';
import Trash from 'lucide-react-native/icons/trash';
import { useState, type ReactNode } from 'react';
import { ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';

interface KitFormShellProps {
  readonly children: ReactNode;
  readonly canSave: boolean;
  readonly save: () => Promise<unknown>;
  readonly onDone: () => void;
  readonly onDelete?: (() => Promise<void>) | undefined;
  /** Keeps it for its history, out of the plans; or takes it out again. */
  readonly putAway?:
    { readonly away: boolean; readonly toggle: () => Promise<unknown> } | undefined;
}

/** Saves a part of the kit, says what keeps it from being saved, or puts it away. */
export function KitFormShell({
  children,
  canSave,
  save,
  onDone,
  onDelete,
  putAway,
}: KitFormShellProps) {
  const client = useQueryClient();
  const [trouble, setTrouble] = useState('');
  const trying = (work: () => Promise<unknown>) => (): void => {
    setTrouble('');
    work().catch((error: unknown) => {
      const conflict = error instanceof ApiProblem && error.body.code === 'conflict';
      setTrouble(
        conflict
          ? 'Someone changed this meanwhile: close it and look again.'
          : error instanceof Error
            ? error.message
            : 'It was not saved.',
      );
    });
  };
  const keep = trying(async () => {
    await save();
    await client.invalidateQueries();
    onDone();
  });
  return (
    <Column padding="$4" gap="$4" backgroundColor="$ground" testID="kit-form">
      {children}
      {trouble ? (
        <Small color="$stop" role="alert">
          {trouble}
        </Small>
      ) : null}
      <Row gap="$2" flexWrap="wrap">
        <Button label="Save" look="main" onPress={keep} disabled={!canSave} testID="kit-save" />
        <Button label="Close" onPress={onDone} />
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

import { LIMITS } from '@nucleon/core/documents/limits';
import type { StoredMachine } from '@nucleon/contract/wire';
import type { Machine } from '@nucleon/core/documents/kit';
import {
  MACHINE_KIND_IDS,
  MACHINE_KINDS,
  type MachineKind,
} from '@nucleon/core/machines/machineKinds';
import { useForm, useWatch } from 'react-hook-form';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { putMachine } from '../../api/kit';
import { Chips } from '../../ui/Chips';
import { NumberBox } from '../../ui/NumberBox';
import { TextBox } from '../../ui/TextBox';
import { KitFormShell } from './KitFormShell';
import { MachineRoomFields } from './MachineRoomFields';
import { readSpeeds, showSpeeds } from './machineSpeeds';

interface MachineFormProps {
  readonly machine?: StoredMachine;
  readonly onDone: () => void;
  readonly onDelete?: () => Promise<void>;
}

type Draft = Omit<Machine, 'id'>;

const NEW_MACHINE: Draft = { name: '', kind: 'cordless-drill' };

/** The kind is enough; own speeds and torque where they are known. */
export function MachineForm({ machine, onDone, onDelete }: MachineFormProps) {
  const { control, setValue } = useForm<Draft>({ defaultValues: machine ?? NEW_MACHINE });
  const draft = useWatch({ control }) as Draft & Partial<StoredMachine>;
  const [typedSpeeds, setTypedSpeeds] = useState<string | null>(null);
  const kind: MachineKind = MACHINE_KINDS[draft.kind];
  const name = draft.name.trim() || kind.name;
  const usual = showSpeeds(draft.speeds ?? kind.speeds);
  const speedsFault =
    typedSpeeds !== null &&
    typedSpeeds.trim() !== '' &&
    typedSpeeds !== usual &&
    !readSpeeds(typedSpeeds)
      ? `“${typedSpeeds}” will not do: steps such as 280, 480, 750 or a range such as 600-8500.`
      : undefined;
  const save = (): Promise<StoredMachine> => {
    const { id = newId(), updatedAt: _at, version = 0, ...fields } = draft;
    const known = Object.fromEntries(
      Object.entries<unknown>(fields).filter(([, value]) => value !== undefined),
    ) as unknown as Draft;
    return putMachine(id, { ...known, name, version });
  };
  return (
    <KitFormShell
      canSave={speedsFault === undefined}
      save={save}
      onDone={onDone}
      onDelete={onDelete}
      putAway={
        machine && {
          away: machine.retired ?? false,
          toggle: () => {
            const { id, updatedAt: _at, ...own } = machine;
            return putMachine(id, { ...own, retired: !machine.retired });
          },
        }
      }
    >
      <Chips
        label="Kind"
        chips={MACHINE_KIND_IDS.map((id) => ({ value: id, label: MACHINE_KINDS[id].name }))}
        value={draft.kind}
        onChange={(one) => {
          setValue('kind', one);
          setValue('speeds', undefined);
          setTypedSpeeds(null);
        }}
        testID="machine-kind"
      />
      <TextBox
        label="Name"
        value={draft.name}
        placeholder={name}
        onChangeText={(text) => {
          setValue('name', text);
        }}
        testID="machine-name"
      />
      <TextBox
        label="Speeds, rpm"
        value={typedSpeeds ?? usual}
        onChangeText={(text) => {
          setTypedSpeeds(text);
          const speeds = readSpeeds(text);
          if (speeds) setValue('speeds', speeds);
        }}
        fault={speedsFault}
        note="Steps with commas between, or lowest-highest."
        testID="machine-speeds"
      />
      <NumberBox
        label="Torque that stalls it, N·m"
        value={draft.stallTorqueNm}
        placeholder={String(kind.stallTorqueNm)}
        limit={LIMITS.torqueNm}
        onChange={(value) => {
          setValue('stallTorqueNm', value);
        }}
      />
      <MachineRoomFields
        draft={draft}
        kind={kind}
        onChange={(field, value) => {
          setValue(field, value as never);
        }}
      />
    </KitFormShell>
  );
}

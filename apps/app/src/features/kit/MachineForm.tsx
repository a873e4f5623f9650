import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { StoredMachine } from '@nucleon/contract/wire';
import type { Machine } from '@nucleon/core/documents/kit';
import {
  MACHINE_KIND_IDS,
  MACHINE_KINDS,
  type MachineKind,
} from '@nucleon/core/data/machines/machineKinds';
import { torqueUnit } from '@nucleon/core/words/units/formatQuantity';
import { useState } from 'react';
import { deleteMachine, putMachine, restoreMachine, showNewMachine } from '../../api/kit';
import { Chips } from '../../ui/Chips';
import { NumberBox } from '../../ui/NumberBox';
import { TextBox } from '../../ui/TextBox';
import { useUnits } from '../display/displayStore';
import { KitFormShell } from './KitFormShell';
import { MachineRoomFields } from './MachineRoomFields';
import { readSpeeds, showSpeeds } from './machineSpeeds';
import { useKitDraft } from './useKitDraft';

interface MachineFormProps {
  readonly machine?: StoredMachine;
  readonly onDone: () => void;
}

type Draft = Omit<Machine, 'id'>;

const NEW_MACHINE: Draft = { name: '', kind: 'cordless-drill' };

const putAwayOrBack = ({ id, updatedAt: _at, ...own }: StoredMachine) =>
  putMachine(id, { ...own, retired: !own.retired });

/** The kind is enough; own speeds and torque where they are known. */
export function MachineForm({ machine, onDone }: MachineFormProps) {
  const kit = useKitDraft<Draft, StoredMachine>({
    kind: 'machine',
    stored: machine ?? null,
    fresh: NEW_MACHINE,
    put: putMachine,
    restore: restoreMachine,
    path: (id) => `/machines/${id}`,
    showNew: showNewMachine,
    onDone,
  });
  const { value: draft, change } = kit;
  const kind: MachineKind = MACHINE_KINDS[draft.kind];
  const name = draft.name.trim() || kind.name;
  const speeds = useTypedSpeeds(showSpeeds(draft.speeds ?? kind.speeds));
  return (
    <KitFormShell
      draft={kit}
      canSave={speeds.fault === undefined && kit.nameFault === undefined}
      save={() => kit.save({ name })}
      onDone={onDone}
      deletion={
        machine && {
          name: machine.name,
          remove: () => deleteMachine(machine.id),
          restore: () => restoreMachine(machine.id),
        }
      }
      putAway={
        machine && {
          away: machine.retired ?? false,
          toggle: () => putAwayOrBack(machine),
        }
      }
    >
      <Chips
        label={kitWords.kind}
        chips={MACHINE_KIND_IDS.map((id) => ({ value: id, label: MACHINE_KINDS[id].name }))}
        value={draft.kind}
        onChange={(one) => {
          change({ kind: one, speeds: undefined });
          speeds.type(null);
        }}
        testID="machine-kind"
      />
      <TextBox
        label={commonWords.name}
        value={draft.name}
        placeholder={name}
        onChangeText={(text) => {
          change({ name: text });
        }}
        fault={kit.nameFault}
        testID="machine-name"
      />
      <TextBox
        label={kitWords.speedsRpm}
        value={speeds.text}
        onChangeText={(text) => {
          speeds.type(text);
          const read = readSpeeds(text);
          if (read) change({ speeds: read });
        }}
        fault={speeds.fault}
        note={kitWords.stepsWithCommasBetween}
        testID="machine-speeds"
      />
      <TorqueBox
        torqueNm={draft.stallTorqueNm}
        usualNm={kind.stallTorqueNm}
        onChangeNm={(stallTorqueNm) => {
          change({ stallTorqueNm });
        }}
      />
      <NumberBox
        label={kitWords.powerAtSpindleW}
        value={draft.ratedPowerW}
        placeholder={String(kind.ratedPowerW)}
        limit={LIMITS.powerW}
        onChange={(value) => {
          change({ ratedPowerW: value });
        }}
        note={kitWords.aboutHalfOfWhat}
      />
      <MachineRoomFields
        draft={draft}
        kind={kind}
        onChange={(field, value) => {
          change({ [field]: value });
        }}
      />
    </KitFormShell>
  );
}

/** Speeds as they are typed: what cannot be read stays, with what is wrong with it. */
function useTypedSpeeds(usual: string) {
  const [typed, type] = useState<string | null>(null);
  const isFaulty =
    typed !== null && typed.trim() !== '' && typed !== usual && readSpeeds(typed) === null;
  return {
    text: typed ?? usual,
    type,
    fault: isFaulty ? kitWords.willNotDoSteps(typed) : undefined,
  };
}

interface TorqueBoxProps {
  readonly torqueNm: number | undefined;
  readonly usualNm: number;
  readonly onChangeNm: (torqueNm: number | undefined) => void;
}

/** The torque that stalls it, in the person’s own unit. */
function TorqueBox({ torqueNm, usualNm, onChangeNm }: TorqueBoxProps) {
  const torque = torqueUnit(useUnits());
  // As many figures as anyone types: what was typed comes back as it was.
  const inTorque = (nm: number): number => Number((nm / torque.nm).toPrecision(6));
  return (
    <NumberBox
      label={kitWords.torqueThatStallsIt(torque.unit)}
      value={torqueNm === undefined ? undefined : inTorque(torqueNm)}
      placeholder={String(inTorque(usualNm))}
      limit={{ ...LIMITS.torqueNm, max: inTorque(LIMITS.torqueNm.max), unit: torque.unit }}
      onChange={(value) => {
        onChangeNm(value === undefined ? undefined : value * torque.nm);
      }}
      testID="machine-torque"
    />
  );
}

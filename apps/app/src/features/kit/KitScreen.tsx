import { useQuery, useQueryClient } from '@tanstack/react-query';
import { BIT_FAMILIES } from '@nucleon/core/bits/bitFamilies';
import { MACHINE_KINDS } from '@nucleon/core/machines/machineKinds';
import { formatLengthShort } from '@nucleon/core/units/length';
import Plus from 'lucide-react-native/icons/plus';
import { useState, type ReactNode } from 'react';
import {
  bitsQuery,
  deleteBit,
  deleteMachine,
  machinesQuery,
  restoreBit,
  restoreMachine,
} from '../../api/kit';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Heading, Small, Strong } from '../../ui/text';
import { useUndo } from '../../ui/undoStore';
import { useUnits } from '../display/displayStore';
import { BitForm } from './BitForm';
import { MachineForm } from './MachineForm';

type Open = { readonly kind: 'bit' | 'machine'; readonly id: string | null } | null;

/** The bits and machines owned: what the plans choose from. */
export function KitScreen() {
  const units = useUnits();
  const bits = useQuery(bitsQuery);
  const machines = useQuery(machinesQuery);
  const [open, setOpen] = useState<Open>(null);
  const close = (): void => {
    setOpen(null);
  };
  const gone = useGone(close);
  const failed = bits.error ?? machines.error;
  return (
    <Page title="Kit" subtitle="What you own" back={{ href: '/', label: 'all jobs' }}>
      <Column padding="$4" gap="$5">
        {failed ? (
          <Failed
            error={failed}
            onRetry={() => {
              void bits.refetch();
              void machines.refetch();
            }}
          />
        ) : null}
        {bits.isPending || machines.isPending ? <Loading what="your kit" /> : null}
        {bits.data ? (
          <Shelf
            title="Bits"
            addLabel="Add a bit"
            onAdd={() => {
              setOpen({ kind: 'bit', id: null });
            }}
            empty={
              bits.data.length === 0
                ? 'No bits yet: plans assume a new one of the usual kind.'
                : null
            }
          >
            {open?.kind === 'bit' && open.id === null ? <BitForm onDone={close} /> : null}
            {bits.data.map((bit) => (
              <Item
                key={bit.id}
                name={bit.name}
                line={`${BIT_FAMILIES[bit.family].name}, ${formatLengthShort(bit.diameterMm, units)}${bit.holesCut ? `, ${bit.holesCut} holes cut` : ''}`}
                open={open?.id === bit.id}
                onPress={() => {
                  setOpen(open?.id === bit.id ? null : { kind: 'bit', id: bit.id });
                }}
              >
                <BitForm
                  bit={bit}
                  onDone={close}
                  onDelete={() =>
                    gone(
                      bit.name,
                      'bits',
                      () => deleteBit(bit.id),
                      () => restoreBit(bit.id),
                    )
                  }
                />
              </Item>
            ))}
          </Shelf>
        ) : null}
        {machines.data ? (
          <Shelf
            title="Machines"
            addLabel="Add a machine"
            onAdd={() => {
              setOpen({ kind: 'machine', id: null });
            }}
            empty={
              machines.data.length === 0 ? 'No machines yet: plans assume the usual kind.' : null
            }
          >
            {open?.kind === 'machine' && open.id === null ? <MachineForm onDone={close} /> : null}
            {machines.data.map((machine) => (
              <Item
                key={machine.id}
                name={machine.name}
                line={MACHINE_KINDS[machine.kind].name}
                open={open?.id === machine.id}
                onPress={() => {
                  setOpen(open?.id === machine.id ? null : { kind: 'machine', id: machine.id });
                }}
              >
                <MachineForm
                  machine={machine}
                  onDone={close}
                  onDelete={() =>
                    gone(
                      machine.name,
                      'machines',
                      () => deleteMachine(machine.id),
                      () => restoreMachine(machine.id),
                    )
                  }
                />
              </Item>
            ))}
          </Shelf>
        ) : null}
      </Column>
    </Page>
  );
}

/** Deletes a part of the kit and offers it back. */
function useGone(close: () => void) {
  const client = useQueryClient();
  const showUndo = useUndo((state) => state.show);
  return async (
    name: string,
    list: 'bits' | 'machines',
    remove: () => Promise<void>,
    restore: () => Promise<void>,
  ): Promise<void> => {
    const refresh = () => client.invalidateQueries();
    await remove();
    close();
    await refresh();
    showUndo({
      message: `Put away “${name}” from your ${list}.`,
      undo: async () => {
        await restore();
        await refresh();
      },
    });
  };
}

interface ShelfProps {
  readonly title: string;
  readonly addLabel: string;
  readonly onAdd: () => void;
  readonly empty: string | null;
  readonly children: ReactNode;
}

function Shelf({ title, addLabel, onAdd, empty, children }: ShelfProps) {
  return (
    <Column gap="$2">
      <Row justifyContent="space-between">
        <Heading aria-level={2}>{title}</Heading>
        <Button label={addLabel} icon={Plus} look="quiet" onPress={onAdd} />
      </Row>
      <Panel wet>
        {empty ? <Empty title="Empty shelf" text={empty} /> : null}
        {children}
      </Panel>
    </Column>
  );
}

interface ItemProps {
  readonly name: string;
  readonly line: string;
  readonly open: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

function Item({ name, line, open, onPress, children }: ItemProps) {
  return (
    <Column borderTopWidth={1} borderColor="$line">
      <Press
        aria-expanded={open}
        onPress={onPress}
        paddingHorizontal="$4"
        paddingVertical="$2"
        hoverStyle={{ backgroundColor: '$raised' }}
      >
        <Column alignItems="flex-start" flex={1}>
          <Strong textAlign="left">{name}</Strong>
          <Small textAlign="left">{line}</Small>
        </Column>
      </Press>
      {open ? children : null}
    </Column>
  );
}

import { kitWords } from '@nucleon/core/words/screens/kit';
import type { StoredMachine } from '@nucleon/contract/wire';
import { MACHINE_KINDS } from '@nucleon/core/data/machines/machineKinds';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/layout';
import { MachineForm } from './MachineForm';
import { matches } from './matches';
import { Shelf, ShelfItem } from './Shelf';
import { awayMark, usePutAway } from './usePutAway';

interface MachinesShelfProps {
  readonly machines: readonly StoredMachine[];
  readonly search: string;
}

export function MachinesShelf({ machines, search }: MachinesShelfProps) {
  const [open, setOpen] = useState<string | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const { inSight, toggle } = usePutAway(machines, open);
  const shown = inSight.filter((one) => matches(search, [one.name, MACHINE_KINDS[one.kind].name]));
  return (
    <>
      <Shelf
        title={kitWords.machines}
        actions={
          <Button
            label={kitWords.addMachine}
            writes
            icon={Plus}
            look="quiet"
            onPress={() => {
              setOpen(open === 'new' ? null : 'new');
            }}
          />
        }
        empty={
          machines.length === 0
            ? kitWords.noMachinesYetPlans
            : shown.length === 0
              ? kitWords.nothingHereIsCalled(search)
              : null
        }
      >
        {open === 'new' ? <MachineForm onDone={close} /> : null}
        {shown.map((machine) => (
          <ShelfItem
            key={machine.id}
            name={machine.name}
            line={`${MACHINE_KINDS[machine.kind].name}${awayMark(machine)}`}
            open={open === machine.id}
            onPress={() => {
              setOpen(open === machine.id ? null : machine.id);
            }}
          >
            <MachineForm machine={machine} onDone={close} />
          </ShelfItem>
        ))}
      </Shelf>
      <Row>{toggle}</Row>
    </>
  );
}

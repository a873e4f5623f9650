import { kitWords } from '@nucleon/core/words/screens/kit';
import type { StoredBit } from '@nucleon/contract/wire';
import { BIT_FAMILIES } from '@nucleon/core/data/bits/bitFamilies';
import { stateWords } from '@nucleon/core/words/bitWords';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import Plus from 'lucide-react-native/icons/plus';
import { useEffect, useState } from 'react';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/layout';
import { useUnits } from '../display/displayStore';
import { BitCard } from './BitCard';
import { CsvButtons } from './CsvButtons';
import { matches } from './matches';
import { QuickBit } from './QuickBit';
import { Shelf, ShelfItem } from './Shelf';
import { awayMark, usePutAway } from './usePutAway';

interface BitsShelfProps {
  readonly bits: readonly StoredBit[];
  readonly search: string;
  /** The bit whose check is asked for by another screen. */
  readonly check: string | null;
}

/** The bits, smallest first; those put away stay out of sight until asked for. */
export function BitsShelf({ bits, search, check }: BitsShelfProps) {
  const units = useUnits();
  const [open, setOpen] = useState<string | null>(check === '' ? null : check);
  const [adding, setAdding] = useState(false);
  // Sent here by another screen: the bit it speaks of comes into sight.
  useEffect(() => {
    if (check) document.getElementById(`bit-${check}`)?.scrollIntoView();
  }, [check]);
  const { inSight, toggle } = usePutAway(bits, open);
  const shown = inSight.filter((bit) =>
    matches(search, [
      bit.name,
      BIT_FAMILIES[bit.family].name,
      String(bit.diameterMm),
      bit.supplier,
      bit.batch,
    ]),
  );
  return (
    <>
      <Shelf
        title={kitWords.bits}
        actions={
          <Button
            label={kitWords.addBit}
            writes
            icon={Plus}
            look="quiet"
            onPress={() => {
              setAdding(!adding);
            }}
            testID="add-bit"
          />
        }
        empty={
          bits.length === 0
            ? kitWords.noBitsYetPlans
            : shown.length === 0
              ? kitWords.nothingHereIsCalled(search)
              : null
        }
      >
        {adding ? (
          <QuickBit
            onDone={() => {
              setAdding(false);
            }}
          />
        ) : null}
        {shown.map((bit) => (
          <ShelfItem
            key={bit.id}
            id={`bit-${bit.id}`}
            name={bit.name}
            line={`${BIT_FAMILIES[bit.family].name}, ${formatLengthShort(bit.diameterMm, units)}${bit.holesCut ? kitWords.holesCutHolesCut(bit.holesCut) : ''}${awayMark(bit)}`}
            mark={markOf(bit)}
            open={open === bit.id}
            onPress={() => {
              setOpen(open === bit.id ? null : bit.id);
            }}
          >
            <BitCard
              bit={bit}
              startsWith={check === bit.id ? 'check' : null}
              onDone={() => {
                setOpen(null);
              }}
            />
          </ShelfItem>
        ))}
      </Shelf>
      <Row>{toggle}</Row>
      <CsvButtons bits={bits} />
    </>
  );
}

function markOf(bit: StoredBit) {
  if (!bit.state || bit.state === 'good') return null;
  const text = stateWords(bit.state);
  if (bit.state === 'new') return { text, tone: '$fine' } as const;
  return { text, tone: bit.state === 'tired' ? '$caution' : '$stop' } as const;
}

import { kitWords } from '@nucleon/core/words/screens/kit';
import type { KitPartSort } from '@nucleon/core/documents/kit';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import type { StoredPart } from '../../api/kit';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/layout';
import { useUnits } from '../display/displayStore';
import { matches } from './matches';
import { PartForm } from './PartForm';
import { PART_SORTS } from './partSorts';
import { Shelf, ShelfItem } from './Shelf';
import { awayMark, usePutAway } from './usePutAway';

interface PartsShelfProps {
  readonly sort: KitPartSort;
  readonly parts: readonly StoredPart[];
  readonly search: string;
}

/** Adapters, backings, guides or ways of wetting. */
export function PartsShelf({ sort, parts, search }: PartsShelfProps) {
  const units = useUnits();
  const [open, setOpen] = useState<string | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const words = PART_SORTS[sort];
  const { inSight, toggle } = usePutAway(parts, open);
  const shown = inSight.filter((part) => matches(search, [part.name, words.line(part, units)]));
  return (
    <>
      <Shelf
        title={words.title}
        actions={
          <Button
            label={words.add}
            writes
            icon={Plus}
            look="quiet"
            onPress={() => {
              setOpen(open === 'new' ? null : 'new');
            }}
            testID={`add-${sort}`}
          />
        }
        empty={
          parts.length === 0
            ? words.empty
            : shown.length === 0
              ? kitWords.nothingHereIsCalled(search)
              : null
        }
      >
        {open === 'new' ? <PartForm sort={sort} part={null} onDone={close} /> : null}
        {shown.map((part) => (
          <ShelfItem
            key={part.id}
            name={part.name}
            line={`${words.line(part, units)}${awayMark(part)}`}
            open={open === part.id}
            onPress={() => {
              setOpen(open === part.id ? null : part.id);
            }}
          >
            <PartForm sort={sort} part={part} onDone={close} />
          </ShelfItem>
        ))}
      </Shelf>
      <Row>{toggle}</Row>
    </>
  );
}

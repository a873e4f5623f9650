import { routes } from '../../routes';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import type { TextInput } from 'react-native';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { TextBox } from '../../ui/TextBox';
import { useKeys } from '../../ui/useKeys';
import { BitsShelf } from './BitsShelf';
import { MachinesShelf } from './MachinesShelf';
import { PartsShelf } from './PartsShelf';
import { useWorkshop, type Workshop } from './useWorkshop';

const SHELVES = ['bits', 'machines', 'couplings', 'supports', 'guides', 'water'] as const;
type ShelfName = (typeof SHELVES)[number];

const isShelf = (name: unknown): name is ShelfName => SHELVES.some((shelf) => shelf === name);

/** All that is owned: what the plans choose from. */
export function KitScreen() {
  const router = useRouter();
  const { shelf: asked, check } = useLocalSearchParams<{ shelf?: string; check?: string }>();
  const workshop = useWorkshop();
  const [search, setSearch] = useState('');
  const box = useRef<TextInput>(null);
  const shelf: ShelfName = isShelf(asked) ? asked : 'bits';
  useKeys([
    {
      key: '/',
      does: 'search the kit',
      run: () => {
        box.current?.focus();
      },
    },
  ]);
  const { data } = workshop;
  return (
    <Page title="Kit" subtitle="What you own" back={{ href: routes.jobs(), label: 'all jobs' }}>
      <Column padding="$4" gap="$4">
        {workshop.error ? <Failed error={workshop.error} onRetry={workshop.retry} /> : null}
        {data === null && !workshop.error ? <Loading what="your kit" /> : null}
        {data ? (
          <>
            <Chips
              label="Shelf"
              chips={shelfChips(data)}
              value={shelf}
              onChange={(to) => {
                setSearch('');
                router.setParams({ shelf: to, check: '' });
              }}
              testID="shelf"
            />
            <TextBox
              label="Find by name, size or supplier"
              value={search}
              onChangeText={setSearch}
              inputRef={box}
              testID="kit-search"
            />
            {shelf === 'bits' ? (
              <BitsShelf bits={data.bits} search={search} check={check ?? null} />
            ) : shelf === 'machines' ? (
              <MachinesShelf machines={data.machines} search={search} />
            ) : (
              <PartsShelf key={shelf} sort={shelf} parts={data.parts[shelf]} search={search} />
            )}
          </>
        ) : null}
      </Column>
    </Page>
  );
}

function shelfChips({ bits, machines, parts }: Workshop) {
  const label = (name: string, list: readonly { readonly retired?: boolean }[]): string =>
    `${name} ${list.filter((one) => !one.retired).length}`;
  return [
    { value: 'bits', label: label('Bits', bits) },
    { value: 'machines', label: label('Machines', machines) },
    { value: 'couplings', label: label('Adapters', parts.couplings) },
    { value: 'supports', label: label('Backings', parts.supports) },
    { value: 'guides', label: label('Guides', parts.guides) },
    { value: 'water', label: label('Water', parts.water) },
  ] as const satisfies readonly { value: ShelfName; label: string }[];
}

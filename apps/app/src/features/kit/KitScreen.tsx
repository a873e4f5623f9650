import { commonWords } from '@nucleon/core/words/screens/common';
import { kitWords } from '@nucleon/core/words/screens/kit';
import { routes } from '../../routes';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useRef } from 'react';
import type { TextInput } from 'react-native';
import { Chips } from '../../ui/Chips';
import { Beside, Column, Half, WIDE_PX } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/StateView';
import { TextBox } from '../../ui/TextBox';
import { useAddressText } from '../../ui/useAddressText';
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
  const [search, setSearch] = useAddressText('search');
  const box = useRef<TextInput>(null);
  const shelf: ShelfName = isShelf(asked) ? asked : 'bits';
  useKeys([
    {
      key: '/',
      does: kitWords.searchKit,
      run: () => {
        box.current?.focus();
      },
    },
  ]);
  const { data } = workshop;
  return (
    <Page
      title={kitWords.kit}
      subtitle={kitWords.whatYouOwn}
      back={{ href: routes.jobs(), label: commonWords.allJobs }}
      maxWidth={WIDE_PX}
    >
      <Column padding="$4" gap="$4">
        {workshop.error && data === null ? (
          <Failed error={workshop.error} onRetry={workshop.retry} />
        ) : null}
        {data === null && !workshop.error ? <Loading what={kitWords.yourKit} /> : null}
        {data ? (
          <Beside gap="$4">
            <Half gap="$4">
              <Chips
                label={kitWords.shelf}
                chips={shelfChips(data)}
                value={shelf}
                onChange={(to) => {
                  setSearch('');
                  router.setParams({ shelf: to, check: '' });
                }}
                testID="shelf"
              />
              <TextBox
                label={kitWords.findByNameSize}
                value={search}
                onChangeText={setSearch}
                inputRef={box}
                testID="kit-search"
              />
            </Half>
            <Half>
              {shelf === 'bits' ? (
                <BitsShelf bits={data.bits} search={search} check={check ?? null} />
              ) : shelf === 'machines' ? (
                <MachinesShelf machines={data.machines} search={search} />
              ) : (
                <PartsShelf key={shelf} sort={shelf} parts={data.parts[shelf]} search={search} />
              )}
            </Half>
          </Beside>
        ) : null}
      </Column>
    </Page>
  );
}

function shelfChips({ bits, machines, parts }: Workshop) {
  const label = (name: string, list: readonly { readonly retired?: boolean }[]): string =>
    `${name} ${list.filter((one) => !one.retired).length}`;
  return [
    { value: 'bits', label: label(kitWords.bits, bits) },
    { value: 'machines', label: label(kitWords.machines, machines) },
    { value: 'couplings', label: label(kitWords.adapters, parts.couplings) },
    { value: 'supports', label: label(kitWords.backings, parts.supports) },
    { value: 'guides', label: label(kitWords.guides, parts.guides) },
    { value: 'water', label: label(commonWords.water, parts.water) },
  ] as const satisfies readonly { value: ShelfName; label: string }[];
}

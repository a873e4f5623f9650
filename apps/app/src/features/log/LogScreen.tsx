import { logWords } from '@nucleon/core/words/screens/log';
import { commonWords } from '@nucleon/core/words/screens/common';
import { learningWords } from '@nucleon/core/words/screens/learning';
import Gauge from 'lucide-react-native/icons/gauge';
import { routes } from '../../routes';
import type { StoredRun } from '@nucleon/contract/wire';
import { RUN_OUTCOMES } from '@nucleon/core/run/runOutcome';
import { OUTCOME_WORDS } from '@nucleon/core/words/run/outcomeWords';
import { useInfiniteQuery, type UseInfiniteQueryResult } from '@tanstack/react-query';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useCallback, useDeferredValue, useRef, useState, type ReactNode } from 'react';
import { ScrollView, type TextInput } from 'react-native';
import { runsQuery, type LogFilter } from '../../api/runs';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import type { Chip } from '@nucleon/core/words/screens/choiceChips';
import { Beside, Column, Half, Panel, Row, WIDE_PX } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { useAddressText } from '../../ui/useAddressText';
import { useKeys } from '../../ui/useKeys';
import { VirtualRows } from '../../ui/VirtualRows';
import { RefusedNotice } from '../run/RefusedNotice';
import { LogChart } from './LogChart';
import { LogFiles } from './LogFiles';
import { LogRow } from './LogRow';
import { materialName } from './materialName';

const OUTCOME_CHIPS = [
  { value: 'all', label: logWords.all },
  ...RUN_OUTCOMES.map((value) => ({ value, label: OUTCOME_WORDS[value] })),
] as const;

const ANY = 'any';
/** A run’s row as it usually stands. */
const ROW_PX = 146;
const runId = (run: StoredRun): string => run.runId;
const logRow = (run: StoredRun): ReactNode => <LogRow run={run} />;

/** All that was drilled, newest first: found, filtered, set beside its plan. */
export function LogScreen() {
  const router = useRouter();
  const { filter, material, ...filters } = useLogFilter();
  const runs = useInfiniteQuery(runsQuery(filter));
  const items = runs.data?.pages.flatMap((page) => page.items) ?? [];
  const narrowed = narrowedBy(filter, items);
  const isAll = !filter.search && !filter.outcome && !narrowed;
  return (
    <Page
      title={logWords.log}
      subtitle={logWords.everythingDrilled}
      back={{ href: routes.jobs(), label: commonWords.allJobs }}
      maxWidth={WIDE_PX}
      actions={
        <Button
          label={learningWords.howItKnows}
          icon={Gauge}
          look="quiet"
          onPress={() => {
            router.navigate(routes.learning());
          }}
          testID="log-learning"
        />
      }
    >
      <Column padding="$4" gap="$4">
        <RefusedNotice />
        <LogFilters {...filters} material={material} items={items} />
        {narrowed ? (
          <Row gap="$2" alignItems="center" flexWrap="wrap">
            <Small>{narrowed}</Small>
            <Button
              label={logWords.showAll}
              look="quiet"
              onPress={() => {
                router.navigate(routes.log());
              }}
              testID="log-all"
            />
          </Row>
        ) : null}
        {runs.isError && !runs.data ? (
          <Failed error={runs.error} onRetry={() => void runs.refetch()} />
        ) : null}
        {runs.isPending ? <Loading what={logWords.theLog} /> : null}
        {runs.data && items.length === 0 ? (
          <Empty
            title={isAll ? logWords.nothingDrilledYet : logWords.nothingLikeThat}
            text={isAll ? logWords.openHolePressDrill : logWords.noRunFitsWhat}
          />
        ) : null}
        {items.length > 0 ? (
          <LogRows items={items} total={runs.data?.pages[0]?.total ?? 0} runs={runs} />
        ) : null}
        {runs.hasNextPage ? (
          <Button
            label={runs.isFetchingNextPage ? logWords.fetching : logWords.earlierOnes}
            onPress={() => void runs.fetchNextPage()}
          />
        ) : null}
        <LogFiles filter={filter} />
      </Column>
    </Page>
  );
}

/** What is looked for, as the page’s address has it. */
function useLogFilter() {
  const asked = useLocalSearchParams<Record<string, string>>();
  const [search, setSearch] = useAddressText('search');
  const [outcomeAsked, setOutcome] = useAddressText('outcome');
  const outcome = RUN_OUTCOMES.find((one) => one === outcomeAsked) ?? 'all';
  const [materialAsked, setMaterial] = useAddressText('of');
  const material = materialAsked === '' ? ANY : materialAsked;
  const filter: LogFilter = {
    search: useDeferredValue(search.trim()),
    ...(outcome === 'all' ? {} : { outcome }),
    ...pick(asked, ['bitId', 'pieceId', 'holeId', 'material']),
    ...(material === ANY ? {} : { material }),
  };
  return { filter, search, setSearch, outcome, setOutcome, material, setMaterial };
}

interface LogFiltersProps extends Omit<ReturnType<typeof useLogFilter>, 'filter'> {
  readonly items: readonly StoredRun[];
}

function LogFilters({
  search,
  setSearch,
  outcome,
  setOutcome,
  material,
  setMaterial,
  items,
}: LogFiltersProps) {
  const materials = useMaterials(items);
  const box = useRef<TextInput>(null);
  useKeys([{ key: '/', does: commonWords.searchKey, run: () => box.current?.focus() }]);
  return (
    <>
      <TextBox
        label={logWords.searchLog}
        hideLabel
        placeholder={logWords.holePieceJobBit}
        value={search}
        onChangeText={setSearch}
        inputRef={box}
        inputMode="search"
        testID="log-search"
      />
      <Sideways>
        <Chips
          label={logWords.howItCameOut}
          hideLabel
          nowrap
          chips={OUTCOME_CHIPS}
          value={outcome}
          onChange={setOutcome}
          testID="log-outcome"
        />
      </Sideways>
      {materials.length > 1 || material !== ANY ? (
        <Sideways>
          <Chips
            label={commonWords.material}
            nowrap
            chips={[{ value: ANY, label: logWords.anyMaterial }, ...materials]}
            hideLabel
            value={material}
            onChange={setMaterial}
            testID="log-material"
          />
        </Sideways>
      ) : null}
    </>
  );
}

interface LogRowsProps {
  readonly items: readonly StoredRun[];
  readonly total: number;
  readonly runs: Pick<
    UseInfiniteQueryResult,
    'hasNextPage' | 'isFetchingNextPage' | 'fetchNextPage'
  >;
}

/** The runs beside their chart; the next are fetched as the end comes near. */
function LogRows({ items, total, runs }: LogRowsProps) {
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = runs;
  const fetchMore = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) void fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, fetchNextPage]);
  return (
    <Beside>
      <Half>
        <LogChart runs={items} />
      </Half>
      <Half gap="$4">
        <Small testID="log-total">
          {total} {total === 1 ? logWords.run : logWords.runs}
        </Small>
        <Panel wet testID="log">
          <VirtualRows items={items} keyOf={runId} rowPx={ROW_PX} row={logRow} onEnd={fetchMore} />
        </Panel>
      </Half>
    </Beside>
  );
}

/** A line of choices that goes on beyond the edge. */
const Sideways = ({ children }: { readonly children: ReactNode }) => (
  <ScrollView horizontal showsHorizontalScrollIndicator={false}>
    {children}
  </ScrollView>
);

/** What was drilled in, as far as it has been seen: a filter does not take the other filters away. */
function useMaterials(items: readonly StoredRun[]): readonly Chip<string>[] {
  const [seen, setSeen] = useState<readonly string[]>([]);
  const fresh = [...new Set(items.map(({ material }) => material))].filter(
    (id) => !seen.includes(id),
  );
  if (fresh.length > 0) setSeen([...seen, ...fresh].sort());
  return seen.map((value) => ({ value, label: materialName(value) }));
}

function narrowedBy(
  { bitId, pieceId, holeId, material }: LogFilter,
  [first]: readonly StoredRun[],
): string {
  if (bitId) return first ? logWords.withAlone(first.bitName) : logWords.withOneBitAlone;
  if (holeId) return first ? logWords.alone(first.holeName) : logWords.oneHoleAlone;
  if (pieceId) return first ? logWords.inAlone(first.pieceName) : logWords.inOnePieceAlone;
  return material ? logWords.inAloneValue(material.replaceAll('-', ' ')) : '';
}

const pick = (
  from: Readonly<Record<string, string>>,
  names: readonly (keyof LogFilter)[],
): LogFilter =>
  Object.fromEntries(names.flatMap((name) => (from[name] ? [[name, from[name]]] : [])));

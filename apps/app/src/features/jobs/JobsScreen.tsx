import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes, type JobsQuery, type Route } from '../../routes';
import {
  useInfiniteQuery,
  type InfiniteData,
  type UseInfiniteQueryResult,
} from '@tanstack/react-query';
import type { JobSummary, Page as Paged } from '@nucleon/contract/wire';
import { useMedia } from '@tamagui/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import ArchiveRestore from 'lucide-react-native/icons/archive-restore';
import Plus from 'lucide-react-native/icons/plus';
import { useDeferredValue, useRef } from 'react';
import type { TextInput } from 'react-native';
import { jobsQuery } from '../../api/jobs';
import { Button } from '../../ui/Button';
import { Column, Panel, WIDE_PX } from '../../ui/layout';
import { useMayWork } from '../../ui/mayWork';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Heading } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { TopLinks } from '../../ui/TopLinks';
import { useAddressText } from '../../ui/useAddressText';
import { useKeys } from '../../ui/useKeys';
import { BenchList } from './BenchList';
import { ImportButton } from './ImportButton';
import { JobBeside } from './JobBeside';
import { JobRow } from './JobRow';
import { Tour } from './Tour';
import { LastStarted } from './LastStarted';

/** The list of jobs, beside which the chosen one stands where there is room, px. */
const LIST_PX = 360;

/** What there is to go on with, and all jobs, last touched first. */
export function JobsScreen() {
  const router = useRouter();
  const mayWork = useMayWork();
  const [search, setSearch] = useAddressText('search');
  const asked = useDeferredValue(search.trim());
  const jobs = useInfiniteQuery(jobsQuery(asked));
  const { wide } = useMedia();
  const box = useRef<TextInput>(null);
  const newHole = (): void => {
    router.navigate(routes.newHole());
  };
  useKeys([
    { key: '/', does: commonWords.searchKey, run: () => box.current?.focus() },
    { key: 'n', does: commonWords.newHole, run: newHole },
  ]);
  const items = jobs.data?.pages.flatMap((page) => page.items) ?? [];
  const { job: jobId, hole } = useLocalSearchParams<{ job?: string; hole?: string }>();
  const hereWith = (shown: Pick<JobsQuery, 'job' | 'hole'>): Route =>
    routes.jobs({ ...(search === '' ? {} : { search }), ...shown });
  const beside = wide ? (jobId ?? items[0]?.id) : undefined;
  return (
    <Page
      title={jobsWords.nucleon}
      {...(wide ? { subtitle: jobsWords.holesWithDiamondAnd } : {})}
      actions={<TopLinks />}
      {...(wide ? { maxWidth: WIDE_PX } : {})}
      footer={
        mayWork ? (
          <Button
            label={jobsWords.newHole}
            icon={Plus}
            look="main"
            onPress={newHole}
            grow
            testID="new-hole"
          />
        ) : undefined
      }
    >
      <Column padding="$4" gap="$4" {...(wide ? { flexDirection: 'row', gap: '$5' } : {})}>
        <Column gap="$4" {...(wide ? { width: LIST_PX, flexShrink: 0 } : {})}>
          {asked ? null : (
            <>
              {mayWork ? (
                <>
                  <Tour />
                  <LastStarted />
                </>
              ) : null}
              <BenchList beside={wide} />
            </>
          )}
          <Heading aria-level={2}>{jobsWords.recentJobs}</Heading>
          <TextBox
            label={jobsWords.searchJobsAndPieces}
            hideLabel
            placeholder={jobsWords.searchJobsAndPieces}
            value={search}
            onChangeText={setSearch}
            inputRef={box}
            inputMode="search"
            testID="search"
          />
          <Jobs jobs={jobs} items={items} asked={asked} hereWith={hereWith} beside={beside} />
          <ImportButton />
          <Button
            label={jobsWords.deletedJobs}
            icon={ArchiveRestore}
            look="quiet"
            onPress={() => {
              router.navigate(routes.bin());
            }}
            testID="jobs-bin"
          />
        </Column>
        {beside ? (
          <Column flex={1} minWidth={0}>
            <JobBeside
              key={beside}
              jobId={beside}
              holeId={hole}
              hrefOf={(holeId) => hereWith({ job: beside, hole: holeId })}
            />
          </Column>
        ) : null}
      </Column>
    </Page>
  );
}

interface JobsProps {
  readonly jobs: UseInfiniteQueryResult<InfiniteData<Paged<JobSummary>>>;
  readonly items: readonly JobSummary[];
  /** What was searched for. */
  readonly asked: string;
  readonly hereWith: (shown: Pick<JobsQuery, 'job' | 'hole'>) => Route;
  /** The job that stands beside the list. */
  readonly beside: string | undefined;
}

function Jobs({ jobs, items, asked, hereWith, beside }: JobsProps) {
  return (
    <>
      {jobs.isError && !jobs.data ? (
        <Failed error={jobs.error} onRetry={() => void jobs.refetch()} />
      ) : null}
      {jobs.isPending ? <Loading what={jobsWords.yourJobs} /> : null}
      {jobs.data && items.length === 0 ? (
        asked ? (
          <Empty title={jobsWords.nothingByThatName} text={jobsWords.noJobOrPiece(asked)} />
        ) : (
          <Empty title={jobsWords.noJobsYet} text={jobsWords.sayWhatYouHave} />
        )
      ) : null}
      {items.length > 0 ? (
        <Panel wet render="ul" padding={0} margin={0} testID="jobs">
          {items.map((job, index) => (
            <JobRow
              key={job.id}
              job={job}
              first={index === 0}
              {...(beside
                ? { beside: { to: hereWith({ job: job.id }), here: job.id === beside } }
                : {})}
            />
          ))}
        </Panel>
      ) : null}
      {jobs.hasNextPage ? (
        <Button
          label={jobs.isFetchingNextPage ? jobsWords.fetching : jobsWords.moreJobs}
          onPress={() => void jobs.fetchNextPage()}
        />
      ) : null}
    </>
  );
}

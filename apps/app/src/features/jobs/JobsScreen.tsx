import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import ArchiveRestore from 'lucide-react-native/icons/archive-restore';
import Plus from 'lucide-react-native/icons/plus';
import { useDeferredValue, useRef, useState } from 'react';
import type { TextInput } from 'react-native';
import { jobsQuery } from '../../api/jobs';
import { Button } from '../../ui/Button';
import { Column, Panel } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { TextBox } from '../../ui/TextBox';
import { TopLinks } from '../../ui/TopLinks';
import { useKeys } from '../../ui/useKeys';
import { ImportButton } from './ImportButton';
import { JobRow } from './JobRow';

/** All jobs, last touched first. */
export function JobsScreen() {
  const router = useRouter();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const jobs = useInfiniteQuery(jobsQuery(asked));
  const box = useRef<TextInput>(null);
  const newHole = (): void => {
    router.navigate(routes.newHole());
  };
  useKeys([
    { key: '/', does: commonWords.searchKey, run: () => box.current?.focus() },
    { key: 'n', does: commonWords.newHole, run: newHole },
  ]);
  const items = jobs.data?.pages.flatMap((page) => page.items) ?? [];
  return (
    <Page
      title={jobsWords.nucleon}
      subtitle={jobsWords.holesWithDiamondAnd}
      actions={<TopLinks />}
      footer={
        <Button
          label={jobsWords.newHole}
          icon={Plus}
          look="main"
          onPress={newHole}
          grow
          testID="new-hole"
        />
      }
    >
      <Column padding="$4" gap="$4">
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
        {jobs.isError ? <Failed error={jobs.error} onRetry={() => void jobs.refetch()} /> : null}
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
              <JobRow key={job.id} job={job} first={index === 0} />
            ))}
          </Panel>
        ) : null}
        {jobs.hasNextPage ? (
          <Button
            label={jobs.isFetchingNextPage ? jobsWords.fetching : jobsWords.moreJobs}
            onPress={() => void jobs.fetchNextPage()}
          />
        ) : null}
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
    </Page>
  );
}

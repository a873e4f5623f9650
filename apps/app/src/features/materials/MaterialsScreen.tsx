import { materialsWords } from '@nucleon/core/words/screens/materials';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { JobDetail } from '@nucleon/contract/wire';
import type { Material } from '@nucleon/core/data/materials/material';
import { copyMaterial } from '@nucleon/core/data/materials/columns';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { jobQuery } from '../../api/jobs';
import { Button } from '../../ui/Button';
import { Column, Panel } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Press } from '../../ui/Press';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { MaterialPicker } from '../hole/MaterialPicker';
import { MaterialForm } from './MaterialForm';

/** Materials of the job's own, each made from a copy of another. */
export function MaterialsScreen() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const job = useQuery(jobQuery(jobId));
  return (
    <Page
      title={materialsWords.materialsOfThisJob}
      subtitle={job.data?.name ?? ''}
      back={{ href: routes.job(jobId), label: commonWords.theJob }}
    >
      {job.isError && !job.data ? (
        <Failed error={job.error} onRetry={() => void job.refetch()} />
      ) : null}
      {job.isPending ? <Loading what={materialsWords.theMaterials} /> : null}
      {job.data ? <MaterialShelf job={job.data} /> : null}
    </Page>
  );
}

function MaterialShelf({ job }: { readonly job: JobDetail }) {
  const [open, setOpen] = useState<Material | null>(null);
  const [copying, setCopying] = useState(false);
  const close = (): void => {
    setOpen(null);
    setCopying(false);
  };
  const isNew = open !== null && !job.customMaterials.some((one) => one.id === open.id);
  return (
    <Column padding="$4" gap="$4">
      <Body>{materialsWords.whenStoneOrBody}</Body>
      <Panel wet testID="own-materials">
        {job.customMaterials.length === 0 && !open ? (
          <Empty title={materialsWords.noneYet} text={materialsWords.startFromOneThat} />
        ) : null}
        {job.customMaterials.map((material) => (
          <Column key={material.id} borderTopWidth={1} borderColor="$line">
            <Press
              aria-expanded={open?.id === material.id}
              paddingHorizontal="$4"
              onPress={() => {
                setOpen(open?.id === material.id ? null : material);
              }}
            >
              <Column alignItems="flex-start" paddingVertical="$2">
                <Strong>{material.name}</Strong>
                <Small>{material.class}</Small>
              </Column>
            </Press>
            {open?.id === material.id ? (
              <MaterialForm job={job} material={open} onDone={close} />
            ) : null}
          </Column>
        ))}
        {open && isNew ? <MaterialForm job={job} material={open} onDone={close} /> : null}
      </Panel>
      {copying ? (
        <Column gap="$3">
          <Heading aria-level={2}>{materialsWords.makeItFrom}</Heading>
          <MaterialPicker
            value={undefined}
            custom={job.customMaterials}
            onPick={(from) => {
              setCopying(false);
              setOpen(copyMaterial(from, newId(), materialsWords.ourOwn(from.name).slice(0, 120)));
            }}
          />
        </Column>
      ) : (
        <Button
          label={materialsWords.makeOneFromCopy}
          icon={Plus}
          look="main"
          onPress={() => {
            setOpen(null);
            setCopying(true);
          }}
          testID="copy-material"
        />
      )}
    </Column>
  );
}

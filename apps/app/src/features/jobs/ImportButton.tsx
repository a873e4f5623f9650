import type { Fault } from '@nucleon/core/job/fault';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import FolderInput from 'lucide-react-native/icons/folder-input';
import { useState } from 'react';
import { importJob } from '../../api/jobs';
import { ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { pickFile } from '../../ui/pickFile';
import { Small } from '../../ui/text';

const MOST_SHOWN = 8;

interface Trouble {
  readonly text: string;
  readonly faults: readonly Fault[];
}

/** Opens a job file; a faulty one is refused whole, with what is wrong where. */
export function ImportButton() {
  const router = useRouter();
  const client = useQueryClient();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const open = async (): Promise<void> => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    setTrouble(null);
    let data: unknown;
    try {
      data = JSON.parse(await file.text());
    } catch {
      setTrouble({ text: `“${file.name}” is not JSON.`, faults: [] });
      return;
    }
    try {
      const { jobId } = await importJob(data);
      await client.invalidateQueries();
      router.navigate(`/jobs/${jobId}`);
    } catch (error) {
      setTrouble({
        text:
          error instanceof ApiProblem && error.body.faults
            ? `“${file.name}” was not opened; nothing was changed.`
            : error instanceof Error
              ? error.message
              : 'It could not be opened.',
        faults: error instanceof ApiProblem ? (error.body.faults ?? []) : [],
      });
    }
  };
  return (
    <Column gap="$2">
      <Button
        label="Open a job file"
        icon={FolderInput}
        onPress={() => void open()}
        testID="import"
      />
      {trouble ? (
        <Notice level="caution" text={trouble.text} live testID="import-trouble">
          {trouble.faults.slice(0, MOST_SHOWN).map((fault) => (
            <Small key={fault.pointer + fault.message}>
              {fault.pointer || '/'}: {fault.message}
            </Small>
          ))}
          {trouble.faults.length > MOST_SHOWN ? (
            <Small>and {trouble.faults.length - MOST_SHOWN} more.</Small>
          ) : null}
        </Notice>
      ) : null}
    </Column>
  );
}

import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { routes } from '../../routes';
import type { Fault } from '@nucleon/core/documents/fault';
import { useRouter } from 'expo-router';
import FolderInput from 'lucide-react-native/icons/folder-input';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { importJob } from '../../api/jobs';
import { ApiProblem } from '../../api/problem';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { pickFile } from '../../ui/pickFile';
import { Small } from '../../ui/text';

const MAX_SHOWN = 8;

interface Trouble {
  readonly text: string;
  readonly faults: readonly Fault[];
}

function troubleWith(name: string, error: unknown): string {
  if (!(error instanceof ApiProblem))
    return error instanceof Error ? error.message : jobsWords.itCouldNotBe;
  if (error.body.code === 'bad-json') return jobsWords.isNotJson(name);
  const left = jobsWords.wasNotOpenedNothing(name);
  return error.body.faults ? left : `${left} ${error.message}`;
}

/** What a job that was opened left behind in its file. */
interface Opened {
  readonly jobId: string;
  readonly text: string;
  readonly left: readonly string[];
}

/** Opens a job file, alone or in an archive; a faulty one is refused whole, with what is wrong where. */
export function ImportButton() {
  const router = useRouter();
  const [opened, setOpened] = useState<Opened | null>(null);
  const show = (jobId: string): void => {
    router.navigate(routes.job(jobId));
  };
  const [name, setName] = useState('');
  const reading = useWrite(
    (file: File) => {
      const type = file.name.endsWith('.zip') ? 'application/zip' : 'application/json';
      return importJob(new Blob([file], { type }), newId());
    },
    {
      done: ({ jobId, skipped, left }, file) => {
        const lines = [...skipped.map((run) => jobsWords.runOf(run.name, run.why)), ...left];
        if (lines.length === 0) show(jobId);
        else
          setOpened({
            jobId,
            text: jobsWords.isOpenInIt(file.name, lines.length),
            left: lines,
          });
      },
    },
  );
  const open = async (): Promise<void> => {
    const file = await pickFile('.json,.zip,application/json,application/zip');
    if (!file) return;
    setOpened(null);
    setName(file.name);
    reading.run(file);
  };
  const trouble: Trouble | null = reading.error
    ? {
        text: troubleWith(name, reading.error),
        faults: reading.error instanceof ApiProblem ? (reading.error.body.faults ?? []) : [],
      }
    : null;
  return (
    <Column gap="$2">
      <Button
        label={reading.busy ? jobsWords.opening : jobsWords.openJobFile}
        icon={FolderInput}
        onPress={() => {
          if (!reading.busy) void open();
        }}
        testID="import"
      />
      {opened ? (
        <Notice level="note" title={jobsWords.opened} text={opened.text} live testID="import-left">
          {opened.left.slice(0, MAX_SHOWN).map((line) => (
            <Small key={line}>{line}</Small>
          ))}
          {opened.left.length > MAX_SHOWN ? (
            <Small>{jobsWords.andMore(opened.left.length - MAX_SHOWN)}</Small>
          ) : null}
          <Row>
            <Button
              label={jobsWords.goToJob}
              onPress={() => {
                show(opened.jobId);
              }}
              testID="import-go"
            />
          </Row>
        </Notice>
      ) : null}
      {trouble ? (
        <Notice level="caution" text={trouble.text} live testID="import-trouble">
          {trouble.faults.slice(0, MAX_SHOWN).map((fault) => (
            <Small key={fault.pointer + fault.message}>
              {fault.pointer || '/'}: {fault.message}
            </Small>
          ))}
          {trouble.faults.length > MAX_SHOWN ? (
            <Small>{jobsWords.andMore(trouble.faults.length - MAX_SHOWN)}</Small>
          ) : null}
        </Notice>
      ) : null}
    </Column>
  );
}

import { keys } from '../../api/keys';
import type { JobDetail } from '@nucleon/contract/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { putJob } from '../../api/jobs';
import { ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';

/** The job's name and notes; opened for editing by a press, kept until saved. */
export function JobHeaderFields({ job }: { readonly job: JobDetail }) {
  const client = useQueryClient();
  const [typed, setTyped] = useState<{ name: string; notes: string } | null>(null);
  const [trouble, setTrouble] = useState('');
  if (!typed) {
    return (
      <Row justifyContent="space-between" alignItems="flex-start" gap="$3">
        <Small flexShrink={1}>{job.notes ?? 'No notes.'}</Small>
        <Button
          label="Edit"
          look="quiet"
          hint="Edit name and notes"
          onPress={() => {
            setTyped({ name: job.name, notes: job.notes ?? '' });
          }}
          testID="edit-job"
        />
      </Row>
    );
  }
  const save = async (): Promise<void> => {
    const { pieces: _pieces, customMaterials: _custom, id, updatedAt: _at, ...header } = job;
    try {
      await putJob(id, { ...header, name: typed.name.trim(), notes: typed.notes });
      await client.invalidateQueries({ queryKey: keys.job(id) });
      await client.invalidateQueries({ queryKey: keys.jobs() });
      setTyped(null);
    } catch (error) {
      const conflict = error instanceof ApiProblem && error.body.code === 'conflict';
      setTrouble(
        conflict
          ? 'Someone changed this meanwhile. Look again, then save.'
          : error instanceof Error
            ? error.message
            : 'It was not saved.',
      );
      if (conflict) await client.invalidateQueries({ queryKey: keys.job(id) });
    }
  };
  const nameless = typed.name.trim() === '';
  return (
    <Column gap="$3">
      <TextBox
        label="Name of the job"
        value={typed.name}
        onChangeText={(name) => {
          setTyped({ ...typed, name });
        }}
        fault={nameless ? 'Give it a name: 1 to 120 characters.' : undefined}
        testID="job-name"
      />
      <TextBox
        label="Notes"
        value={typed.notes}
        multiline
        onChangeText={(notes) => {
          setTyped({ ...typed, notes });
        }}
        testID="job-notes"
      />
      {trouble ? (
        <Small color="$stop" role="alert">
          {trouble}
        </Small>
      ) : null}
      <Row gap="$2">
        <Button label="Save" look="main" disabled={nameless} onPress={() => void save()} />
        <Button
          label="Leave as it was"
          onPress={() => {
            setTyped(null);
            setTrouble('');
          }}
        />
      </Row>
    </Column>
  );
}

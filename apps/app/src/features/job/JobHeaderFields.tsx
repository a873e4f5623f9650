import { jobWords } from '@nucleon/core/words/screens/job';
import type { JobDetail } from '@nucleon/contract/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { jobQuery, putJob } from '../../api/jobs';
import { ApiProblem } from '../../api/problem';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { Trouble } from '../../ui/Trouble';

interface Header {
  readonly name: string;
  readonly notes: string;
}

/** The job's name and notes; opened for editing by a press, kept until saved. */
export function JobHeaderFields({ job }: { readonly job: JobDetail }) {
  const client = useQueryClient();
  const [typed, setTyped] = useState<Header | null>(null);
  const save = useWrite(
    ({ name, notes }: Header) => {
      const { pieces: _pieces, customMaterials: _custom, id, updatedAt: _at, ...header } = job;
      return putJob(id, { ...header, name: name.trim(), notes });
    },
    {
      done: (stored) => {
        client.setQueryData(jobQuery(job.id).queryKey, (was) => was && { ...was, ...stored });
        setTyped(null);
      },
    },
  );
  if (!typed) {
    return (
      <Row justifyContent="space-between" alignItems="flex-start" gap="$3">
        <Small flexShrink={1}>{job.notes ?? jobWords.noNotes}</Small>
        <Button
          label={jobWords.edit}
          look="quiet"
          hint={jobWords.editNameAndNotes}
          onPress={() => {
            setTyped({ name: job.name, notes: job.notes ?? '' });
          }}
          testID="edit-job"
        />
      </Row>
    );
  }
  const isConflict = save.error instanceof ApiProblem && save.error.body.code === 'conflict';
  const trouble = isConflict ? jobWords.someoneChangedThisMeanwhile : save.trouble;
  const nameless = typed.name.trim() === '';
  return (
    <Column gap="$3">
      <TextBox
        label={jobWords.nameOfJob}
        value={typed.name}
        onChangeText={(name) => {
          setTyped({ ...typed, name });
        }}
        fault={nameless ? jobWords.giveItName1 : undefined}
        testID="job-name"
      />
      <TextBox
        label={jobWords.notes}
        value={typed.notes}
        multiline
        onChangeText={(notes) => {
          setTyped({ ...typed, notes });
        }}
        testID="job-notes"
      />
      <Trouble text={trouble} />
      <Row gap="$2">
        <Button
          label={jobWords.save}
          look="main"
          disabled={nameless}
          onPress={() => {
            save.run(typed);
          }}
        />
        <Button
          label={jobWords.leaveAsItWas}
          onPress={() => {
            setTyped(null);
            save.forget();
          }}
        />
      </Row>
    </Column>
  );
}

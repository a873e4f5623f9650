import type { KitDifference } from '@nucleon/contract/wire';
import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { useState } from 'react';
import { putBit, putMachine } from '../../api/kit';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';

const takeFiles = ({ kind, here, inFile }: KitDifference): Promise<unknown> => {
  const { id: _id, ...theirs } = inFile;
  const body = { ...theirs, version: here.version };
  return kind === 'bit' ? putBit(here.id, body as never) : putMachine(here.id, body as never);
};

/** Kit that the file knows otherwise than it is here, one by one: the one here stays unless the file’s is taken. */
export function KitDifferences({ differs }: { readonly differs: readonly KitDifference[] }) {
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const take = useWrite(takeFiles, {
    done: (_kept, { here }) => {
      setTaken(new Set([...taken, here.id]));
    },
  });
  return (
    <Column gap="$2" testID="kit-differs">
      <Small>{jobsWords.kitDiffers}</Small>
      {differs.map((one) => (
        <Row key={one.here.id} gap="$2" flexWrap="wrap" justifyContent="space-between">
          <Small flexShrink={1}>{one.here.name}</Small>
          {taken.has(one.here.id) ? (
            <Small>{jobsWords.takenFromFile}</Small>
          ) : (
            <Button
              label={jobsWords.takeFiles}
              hint={jobsWords.takeFilesOf(one.here.name)}
              look="quiet"
              disabled={take.busy}
              onPress={() => {
                take.run(one);
              }}
            />
          )}
        </Row>
      ))}
      {take.trouble ? <Small color="$stop">{take.trouble}</Small> : null}
    </Column>
  );
}

import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { endShare, share, sharesQuery } from '../../api/people';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Fold } from '../../ui/Fold';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { day } from './day';
import { LinkCode } from './LinkCode';
import { linkWith } from './linkToken';
import { isOwner, useSession } from './useSession';
import { Trouble } from '../../ui/Trouble';

const DAYS = [1, 7, 30, 90].map((value) => ({ value, label: peopleWords.days(value) }));

/** Shows one job to somebody outside, to read: only the owner of a workshop where people sign in. */
export function ShareJob({ jobId }: { readonly jobId: string }) {
  const [open, setOpen] = useState(false);
  return isOwner(useSession()) ? (
    <Fold
      label={peopleWords.shareJob}
      summary={peopleWords.shareShort}
      open={open}
      onToggle={() => {
        setOpen(!open);
      }}
      testID="share-job"
    >
      <Sharing jobId={jobId} />
    </Fold>
  ) : null;
}

function Sharing({ jobId }: { readonly jobId: string }) {
  const [days, setDays] = useState(7);
  const [link, setLink] = useState<string | null>(null);
  const shares = useQuery(sharesQuery(jobId));
  const make = useWrite(() => share(jobId, days), {
    done: ({ token }) => {
      setLink(linkWith('/shown', token, location.origin));
    },
  });
  const end = useWrite(endShare, {
    done: () => {
      setLink(null);
    },
  });
  return (
    <Column gap="$3" padding="$4">
      <Small>{peopleWords.shareWhy}</Small>
      <Chips label={peopleWords.shareFor} chips={DAYS} value={days} onChange={setDays} />
      <Button
        label={peopleWords.makeLink}
        disabled={make.busy}
        onPress={() => {
          make.run();
        }}
        testID="make-share"
      />
      <Trouble text={make.trouble || end.trouble} />
      {link === null ? null : <LinkCode link={link} testID="share" />}
      {(shares.data ?? []).map(({ id, until }) => (
        <Row key={id} gap="$2" justifyContent="space-between">
          <Small>{peopleWords.shared(day(until))}</Small>
          <Button
            label={peopleWords.endIt}
            look="quiet"
            onPress={() => {
              end.run(id);
            }}
            testID="end-share"
          />
        </Row>
      ))}
    </Column>
  );
}

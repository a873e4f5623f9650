import { peopleWords } from '@nucleon/core/words/screens/people';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { auditQuery } from '../../api/people';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Body, Small } from '../../ui/text';
import { dayAndTime } from './day';

/** Who did what, when: the latest first. */
export function AuditScreen() {
  const [page, setPage] = useState(1);
  const audit = useQuery({ ...auditQuery(page), placeholderData: keepPreviousData });
  const { data } = audit;
  return (
    <Page
      title={peopleWords.whatWasDone}
      subtitle={peopleWords.whatWasDoneWhy}
      back={{ href: routes.people(), label: peopleWords.people }}
    >
      <Column padding="$4" gap="$4">
        {audit.isPending ? <Loading what={peopleWords.theAudit} /> : null}
        {audit.isError && !data ? (
          <Failed error={audit.error} onRetry={() => void audit.refetch()} />
        ) : null}
        {data?.total === 0 ? <Empty title={peopleWords.nothingDone} text="" /> : null}
        {data && data.total > 0 ? (
          <Panel testID="audit">
            {data.items.map(({ seq, at, personName, address, act, subject }) => (
              <Row
                key={seq}
                padding="$3"
                gap="$3"
                borderTopWidth={1}
                borderColor="$line"
                flexWrap="wrap"
              >
                <Body flexGrow={1} flexShrink={1} flexBasis={220} minWidth={0}>
                  {`${personName || peopleWords.atTheComputer} ${peopleWords.acts[act]}`}
                </Body>
                <Column flexShrink={1} minWidth={0}>
                  <Small>{`${dayAndTime(at)} · ${address}`}</Small>
                  {subject === '' ? null : (
                    <Small style={{ overflowWrap: 'anywhere' }}>{subject}</Small>
                  )}
                </Column>
              </Row>
            ))}
          </Panel>
        ) : null}
        {data && data.total > page * data.pageSize ? (
          <Button
            label={peopleWords.older}
            onPress={() => {
              setPage(page + 1);
            }}
          />
        ) : null}
      </Column>
    </Page>
  );
}

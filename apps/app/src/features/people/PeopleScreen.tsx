import type { Invitation, Person } from '@nucleon/contract/people';
import { ROLES, type Role } from '@nucleon/core/data/people';
import { uiWords } from '@nucleon/core/words/screens/ui';
import { peopleWords } from '@nucleon/core/words/screens/people';
import { useQuery } from '@tanstack/react-query';
import UserPlus from 'lucide-react-native/icons/user-plus';
import { useState } from 'react';
import {
  endInvitation,
  giveRole,
  invite,
  peopleQuery,
  reachQuery,
  sessionQuery,
  takeOut,
} from '../../api/people';
import { useWrite } from '../../api/useWrite';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { RowLink } from '../../ui/RowLink';
import { Empty, Failed, Loading } from '../../ui/StateView';
import { Heading, Small, Strong } from '../../ui/text';
import { day } from './day';
import { DeviceList } from './DeviceList';
import { LinkCode } from './LinkCode';
import { linkWith } from './linkToken';
import { useSession } from './useSession';
import { Trouble } from '../../ui/Trouble';

const ROLE_CHIPS = ROLES.map((value) => ({ value, label: peopleWords.roles[value] }));

/** Who works in the workshop, on which devices, and how others come in. */
export function PeopleScreen() {
  const session = useSession();
  const asked = useQuery(sessionQuery);
  return (
    <Page
      title={peopleWords.people}
      subtitle={peopleWords.whoWorksHere}
      back={{ href: routes.display(), label: uiWords.display }}
    >
      {session === null ? (
        <Loading what={peopleWords.thePeople} />
      ) : session.kind !== 'local' ? (
        <People own={session.kind === 'person' ? session.personId : ''} />
      ) : asked.isError && !asked.data ? (
        // Whether people sign in is the server's to say.
        <Failed error={asked.error} onRetry={() => void asked.refetch()} />
      ) : (
        <Empty title={peopleWords.nobodySignsIn} text={peopleWords.aloneHere} />
      )}
    </Page>
  );
}

function People({ own }: { readonly own: string }) {
  const people = useQuery(peopleQuery);
  return (
    <Column padding="$4" gap="$5">
      {people.isPending ? <Loading what={peopleWords.thePeople} /> : null}
      {people.isError && !people.data ? (
        <Failed error={people.error} onRetry={() => void people.refetch()} />
      ) : null}
      {people.data ? (
        <>
          <Panel wet testID="people">
            {people.data.people.map((person) => (
              <PersonRow key={person.id} person={person} isOwn={person.id === own} />
            ))}
          </Panel>
          <Inviting invitations={people.data.invitations} />
          <Column gap="$3">
            <Heading aria-level={2}>{peopleWords.devices}</Heading>
            <DeviceList withNames />
          </Column>
          <Panel>
            <RowLink to={routes.audit()} testID="to-audit">
              <Strong>{peopleWords.whatWasDone}</Strong>
              <Small>{peopleWords.whatWasDoneWhy}</Small>
            </RowLink>
          </Panel>
        </>
      ) : null}
    </Column>
  );
}

function PersonRow({ person, isOwn }: { readonly person: Person; readonly isOwn: boolean }) {
  const { id, name, role, leftAt } = person;
  const give = useWrite(giveRole);
  const remove = useWrite(takeOut);
  const [sure, setSure] = useState(false);
  if (leftAt !== null)
    return (
      <Row padding="$3" borderTopWidth={1} borderColor="$line" gap="$2">
        <Small>{`${name}. ${peopleWords.left(day(leftAt))}`}</Small>
      </Row>
    );
  return (
    <Column padding="$3" gap="$2" borderTopWidth={1} borderColor="$line" testID={`person-${name}`}>
      <Row gap="$2" justifyContent="space-between" flexWrap="wrap">
        <Strong>{name}</Strong>
        {isOwn ? null : (
          <Button
            label={sure ? peopleWords.takeOutSure(name) : peopleWords.takeOut}
            look={sure ? 'stop' : 'quiet'}
            onPress={() => {
              if (sure) remove.run(id);
              setSure(!sure);
            }}
          />
        )}
      </Row>
      <Chips
        label={`${peopleWords.mayDo}: ${name}`}
        hideLabel
        chips={ROLE_CHIPS}
        value={role}
        onChange={(value) => {
          give.run({ id, role: value });
        }}
      />
      <Trouble text={give.trouble || remove.trouble} />
    </Column>
  );
}

function Inviting({ invitations }: { readonly invitations: readonly Invitation[] }) {
  const [role, setRole] = useState<Role>('worker');
  const [link, setLink] = useState<string | null>(null);
  const reach = useQuery(reachQuery).data;
  const make = useWrite(() => invite(role), {
    done: ({ token }) => {
      setLink(linkWith('/join', token, location.origin));
    },
  });
  const end = useWrite(endInvitation);
  return (
    <Column gap="$3">
      <Heading aria-level={2}>{peopleWords.inviteSomebody}</Heading>
      <Chips
        label={peopleWords.mayDo}
        chips={ROLE_CHIPS}
        value={role}
        onChange={setRole}
        testID="invite-role"
      />
      <Button
        label={peopleWords.invite}
        icon={UserPlus}
        look="main"
        disabled={make.busy}
        onPress={() => {
          make.run();
        }}
        testID="invite"
      />
      <Trouble text={make.trouble || end.trouble} />
      {link === null ? null : (
        <Column gap="$3">
          <Small>{peopleWords.invited}</Small>
          <LinkCode link={link} testID="invitation" />
          {reach?.trustAddress ? (
            <Small>{`${peopleWords.trustFirst} ${reach.trustAddress}`}</Small>
          ) : null}
        </Column>
      )}
      {invitations.length === 0 ? null : (
        <Column gap="$1">
          <Strong>{peopleWords.openInvitations}</Strong>
          {invitations.map(({ id, role: of, until }) => (
            <Row key={id} gap="$2" justifyContent="space-between">
              <Small flexShrink={1}>{peopleWords.invitationFor(of, day(until))}</Small>
              <Button
                label={peopleWords.endIt}
                look="quiet"
                onPress={() => {
                  end.run(id);
                }}
              />
            </Row>
          ))}
        </Column>
      )}
    </Column>
  );
}

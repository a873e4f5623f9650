import type { Route } from '../../routes';
import { holeWords } from '@nucleon/core/words/screens/hole';
import { Column, Panel } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { Heading, Small, Strong } from '../../ui/text';
import { CLOSER_ROOM_IDS, CLOSER_ROOMS, type CloserRoom } from './rooms';

/** The rooms that look closer at this plan. */
export function CloserRooms({ hrefOf }: { readonly hrefOf: (room: CloserRoom) => Route }) {
  return (
    <Column padding="$4" gap="$2" id="print-hide-rooms">
      <Heading aria-level={2}>{holeWords.moreDetail}</Heading>
      <Panel wet>
        {CLOSER_ROOM_IDS.map((room) => (
          <RowLink key={room} testID={`room-${room}`} to={hrefOf(room)}>
            <Strong textAlign="left">{CLOSER_ROOMS[room].title}</Strong>
            <Small textAlign="left">{CLOSER_ROOMS[room].note}</Small>
          </RowLink>
        ))}
      </Panel>
    </Column>
  );
}

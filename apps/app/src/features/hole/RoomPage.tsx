import { commonWords } from '@nucleon/core/words/screens/common';
import { holeWords } from '@nucleon/core/words/screens/hole';
import type { ReactNode } from 'react';
import { Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { UndoRedo } from '../../ui/UndoRedo';
import { HoleTrouble } from './HoleTrouble';
import { CLOSER_ROOMS, planHref, type CloserRoom } from './rooms';
import { SaveMark } from '../draft/SaveMark';
import type { HoleRoom } from './useHoleRoom';

interface RoomPageProps {
  readonly name: CloserRoom | 'ready';
  readonly room: HoleRoom;
  readonly maxWidth?: number;
  readonly footer?: ReactNode;
  readonly children: ReactNode;
}

/** A room about one hole: what it is, the way back, undo, and what troubles the draft. */
export function RoomPage({ name, room, maxWidth, footer, children }: RoomPageProps) {
  const { edit, detail, handle } = room;
  return (
    <Page
      title={name === 'ready' ? holeWords.ready : CLOSER_ROOMS[name].title}
      subtitle={`${edit.hole.label?.trim() || commonWords.hole} · ${edit.piece.name}`}
      back={{ href: planHref(detail), label: commonWords.thePlan }}
      {...(maxWidth === undefined ? {} : { maxWidth })}
      footer={footer}
      actions={
        <Row gap="$1">
          <SaveMark save={handle.draft.save} />
          <UndoRedo draft={handle.draft} dispatch={handle.dispatch} />
        </Row>
      }
    >
      <HoleTrouble {...room} />
      {children}
    </Page>
  );
}

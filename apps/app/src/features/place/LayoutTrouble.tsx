import { placeWords } from '@nucleon/core/words/screens/place';
import { commonWords } from '@nucleon/core/words/screens/common';
import { Column } from '../../ui/layout';
import { DraftTrouble } from '../draft/DraftTrouble';
import type { LayoutHandle } from './useLayoutDraft';

/** What keeps the layout from being saved; holes by the names people know them under. */
export function LayoutTrouble(handle: LayoutHandle) {
  const { kind } = handle.draft.save;
  if (kind === 'saved' || kind === 'waiting' || kind === 'saving') return null;
  const { piece, holes } = handle.draft.now;
  const nameOf = (part: string): string =>
    part === 'piece'
      ? piece.name
      : (holes.find(({ id }) => id === part)?.label ?? commonWords.hole);
  return (
    <Column padding="$3">
      <DraftTrouble {...handle} done={placeWords.moved} nameOf={nameOf} />
    </Column>
  );
}

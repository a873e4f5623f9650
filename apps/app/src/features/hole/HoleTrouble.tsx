import { holeWords } from '@nucleon/core/words/screens/hole';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { DraftTrouble } from '../draft/DraftTrouble';
import { bringBack } from './useHoleDraft';
import type { HoleRoom } from './useHoleRoom';

/** What keeps the draft from being planned or saved. */
export function HoleTrouble({ handle, faults }: Pick<HoleRoom, 'handle' | 'faults'>) {
  const { kind } = handle.draft.save;
  const isFine = kind === 'saved' || kind === 'waiting' || kind === 'saving';
  return (
    <Column>
      {isFine ? null : (
        <Column padding="$3">
          <DraftTrouble {...handle} done={holeWords.typed} bringBack={() => bringBack(handle)} />
        </Column>
      )}
      {faults.map((fault) => (
        <Column key={fault.pointer + fault.message} padding="$3">
          <Notice
            level="stop"
            title={holeWords.theseValuesClash}
            text={fault.message}
            testID="fault"
          />
        </Column>
      ))}
    </Column>
  );
}

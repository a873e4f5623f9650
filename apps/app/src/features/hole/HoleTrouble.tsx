import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { SaveTrouble } from './SaveTrouble';
import type { HoleRoom } from './useHoleRoom';

/** What keeps the draft from being planned or saved. */
export function HoleTrouble({ handle, faults }: Pick<HoleRoom, 'handle' | 'faults'>) {
  const { kind } = handle.draft.save;
  return (
    <Column>
      {kind === 'unreachable' || kind === 'refused' || kind === 'conflict' ? (
        <Column padding="$3">
          <SaveTrouble {...handle} />
        </Column>
      ) : null}
      {faults.map((fault) => (
        <Column key={fault.pointer + fault.message} padding="$3">
          <Notice level="stop" title="These values clash" text={fault.message} testID="fault" />
        </Column>
      ))}
    </Column>
  );
}

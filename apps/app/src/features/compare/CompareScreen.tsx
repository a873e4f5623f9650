import { keys } from '../../api/keys';
import type { Comparison } from '@nucleon/core/choice/compareMethods';
import type { House } from '@nucleon/core/documents/house';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { getHouse, putHouse } from '../../api/house';
import { Column } from '../../ui/layout';
import { Loading } from '../../ui/StateView';
import { Small } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { Question } from './Question';

/** Disputed ways side by side on this hole, all else as planned. */
export function CompareScreen() {
  return (
    <HoleLoader title="Ways compared">
      {(loaded) => <CompareRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function CompareRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { outcome, faults } = useTask('compare', room.asked);
  const remember = useHabit();
  const comparisons = outcome?.kind === 'compared' ? outcome.comparisons : null;
  return (
    <RoomPage name="compare" room={room} maxWidth={1000}>
      {comparisons === null && faults.length === 0 ? <Loading what="the ways" /> : null}
      {comparisons ? (
        <Column padding="$4" gap="$6">
          <Small>
            Both ways work; what each costs on this job is computed, with all else as planned. Pick
            one and it becomes the plan.
          </Small>
          {comparisons.map((comparison) => (
            <Question
              key={comparison.id}
              comparison={comparison}
              onPick={({ setup }) => {
                room.edit.changeHole({ setup }, `compare-${comparison.id}`);
              }}
              onRemember={(way) => {
                void remember.set(comparison, way);
              }}
            />
          ))}
          <Small role="status" aria-live="polite" color="$stop">
            {remember.fault}
          </Small>
        </Column>
      ) : null}
    </RoomPage>
  );
}

/** Keeps a way as the house's own, or forgets it. */
function useHabit() {
  const client = useQueryClient();
  const [fault, setFault] = useState('');
  const set = async ({ id }: Comparison, way: string | null): Promise<void> => {
    setFault('');
    try {
      const house = await getHouse();
      const { [id]: _old, ...others } = house.habits ?? {};
      const habits: House['habits'] = way === null ? others : { ...others, [id]: way };
      await putHouse({ ...house, habits });
      await client.invalidateQueries({ queryKey: keys.house() });
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'The habit was not kept.');
    }
  };
  return { set, fault };
}

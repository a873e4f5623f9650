import { compareWords } from '@nucleon/core/words/screens/compare';
import type { DescribedComparison } from '@nucleon/core/words/advice/comparisonsInWords';
import type { House } from '@nucleon/core/documents/house';
import { getHouse, putHouse } from '../../api/house';
import { Column } from '../../ui/layout';
import { Loading } from '../../ui/StateView';
import { Small } from '../../ui/text';
import { useTask } from '../../workers/useTask';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { useWrite } from '../../api/useWrite';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { Question } from './Question';

/** Disputed ways side by side on this hole, all else as planned. */
export function CompareScreen() {
  return (
    <HoleLoader title={compareWords.compareMethods}>
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
      {comparisons === null && faults.length === 0 ? <Loading what={compareWords.theWays} /> : null}
      {comparisons ? (
        <Column padding="$4" gap="$6">
          <Small>{compareWords.bothWaysWorkWhat}</Small>
          {comparisons.map((comparison) => (
            <Question
              key={comparison.id}
              comparison={comparison}
              onPick={({ setup }) => {
                room.edit.changeHole({ setup }, `compare-${comparison.id}`);
              }}
              onRemember={(way) => {
                remember.run({ comparison, way });
              }}
            />
          ))}
          <Small role="status" aria-live="polite" color="$stop">
            {remember.trouble}
          </Small>
        </Column>
      ) : null}
    </RoomPage>
  );
}

interface Habit {
  readonly comparison: DescribedComparison;
  /** null forgets it. */
  readonly way: string | null;
}

/** Keeps a way as the house's own, or forgets it. */
function useHabit() {
  return useWrite(async ({ comparison: { id }, way }: Habit) => {
    const house = await getHouse();
    const { [id]: _old, ...others } = house.habits ?? {};
    const habits: House['habits'] = way === null ? others : { ...others, [id]: way };
    return putHouse({ ...house, habits });
  });
}

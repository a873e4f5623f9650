import { readyWords } from '@nucleon/core/words/screens/ready';
import type { JobDetail } from '@nucleon/contract/wire';
import { useMemo } from 'react';
import { Column } from '../../ui/layout';
import { Loading } from '../../ui/StateView';
import { TickRow } from '../../ui/TickRow';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import { caseOf } from '../hole/useLivePlan';
import type { Workshop } from '../kit/useWorkshop';
import { packedKey, useReadyTicks } from './readyTicks';

/** Everything this job wants at the bench, for all its holes; a tick holds for the job. */
export function PackingFold({
  job,
  workshop,
}: {
  readonly job: JobDetail;
  readonly workshop: Workshop;
}) {
  const units = useUnits();
  const { ticked, set } = useReadyTicks();
  const asked = useMemo(
    () => ({
      units,
      cases: job.pieces.flatMap(({ holes, ...piece }) =>
        holes.map((hole) => caseOf(job, { piece, hole }, workshop)),
      ),
    }),
    [job, workshop, units],
  );
  const { outcome } = useTask('packing', asked);
  if (!outcome) return <Loading what={readyWords.thePackingList} />;
  return (
    <Column paddingLeft="$4" testID="packing">
      {outcome.items.map(({ id, text }) => {
        const key = packedKey(job.id, id);
        return (
          <TickRow
            key={id}
            title={text}
            on={ticked[key] ?? false}
            onChange={(on) => {
              set(key, on);
            }}
            testID={`packed-${id}`}
          />
        );
      })}
    </Column>
  );
}

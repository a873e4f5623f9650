import { resultWords } from '@nucleon/core/words/screens/result';
import { finishSteps } from '@nucleon/core/words/run/finishSteps';
import { useState } from 'react';
import { Column } from '../../ui/layout';
import { Heading } from '../../ui/text';
import { TickRow } from '../../ui/TickRow';
import { dropFromDevice, keepOnDevice, keptOnDevice } from '../draft/keptOnDevice';
import type { LiveRun } from '../run/useRun';

const KIND = 'finish';

/** From the wet hole to the fitted part and the clean bench, ticked as it is done. */
export function FinishPanel({ run }: { readonly run: LiveRun }) {
  const [done, setDone] = useState<readonly string[]>(() => {
    const kept = keptOnDevice(KIND, run.runId);
    return Array.isArray(kept) ? (kept as readonly string[]) : [];
  });
  const tick = (id: string, on: boolean): void => {
    const next = on ? [...done, id] : done.filter((one) => one !== id);
    setDone(next);
    if (next.length > 0) keepOnDevice(KIND, run.runId, next);
    else dropFromDevice(KIND, run.runId);
  };
  return (
    <Column padding="$4" gap="$1" testID="finish">
      <Heading aria-level={2}>{resultWords.then}</Heading>
      {finishSteps(run.state).map(({ id, title, detail }) => (
        <TickRow
          key={id}
          title={title}
          detail={detail}
          on={done.includes(id)}
          onChange={(on) => {
            tick(id, on);
          }}
          testID={`finish-${id}`}
        />
      ))}
    </Column>
  );
}

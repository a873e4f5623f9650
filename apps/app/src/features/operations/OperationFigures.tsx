import type { Plan, PlannedOperation } from '@nucleon/core/documents/plan';
import { drawnCut, planOfCut } from '@nucleon/core/drawing/planOfCut';
import { operationsWords } from '@nucleon/core/words/screens/operations';
import { useMedia } from '@tamagui/core';
import { useState } from 'react';
import { Column } from '../../ui/layout';
import { Heading } from '../../ui/text';
import { PlanDrawing } from '../hole/PlanDrawing';
import { StepList } from '../hole/StepList';

interface OperationFiguresProps {
  readonly plan: Plan;
  readonly one: PlannedOperation;
  readonly thicknessMm: number;
}

/** The chosen operation as it is drawn, in its own depths, and step by step. */
export function OperationFigures({ plan, one, thicknessMm }: OperationFiguresProps) {
  const { wide } = useMedia();
  const [shown, setShown] = useState<{ readonly of: string; readonly depthMm: number } | null>(
    null,
  );
  const cut = drawnCut(one);
  const middleMm = (one.fromMm + one.toMm) / 2;
  return (
    <Column gap="$3">
      {cut ? (
        <PlanDrawing
          plan={planOfCut(plan, cut)}
          thicknessMm={thicknessMm}
          atDepthMm={shown?.of === one.id ? shown.depthMm : middleMm}
          maxHeight={wide ? 360 : 240}
        />
      ) : null}
      {wide ? (
        <Column gap="$2">
          <Heading aria-level={2}>{operationsWords.steps}</Heading>
          <StepList
            steps={one.steps}
            onShowDepth={(depthMm) => {
              setShown({ of: one.id, depthMm });
            }}
          />
        </Column>
      ) : null}
    </Column>
  );
}

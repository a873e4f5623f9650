import type { BarePlan } from '@nucleon/core/documents/plan';
import { sectionOf } from '@nucleon/core/drawing/sectionOf';
import { Measured } from '../../drawing/Measured';
import { SectionDrawing } from '../../drawing/SectionDrawing';
import { Panel } from '../../ui/layout';
import { useUnits } from '../display/displayStore';

interface PlanDrawingProps {
  readonly plan: BarePlan;
  readonly thicknessMm: number;
  readonly atDepthMm: number;
  readonly maxHeight: number;
}

/** The section, as wide as it is given. */
export function PlanDrawing({ plan, thicknessMm, atDepthMm, maxHeight }: PlanDrawingProps) {
  const units = useUnits();
  const section = sectionOf(plan, { pieceThicknessMm: thicknessMm, units, atDepthMm });
  return (
    <Panel wet borderLeftWidth={0} borderRightWidth={0} borderTopWidth={0} testID="section">
      <Measured>
        {(width) => <SectionDrawing section={section} width={width} maxHeight={maxHeight} />}
      </Measured>
    </Panel>
  );
}

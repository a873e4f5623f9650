import type { Plan } from '@nucleon/core/plan/plan';
import { sectionOf } from '@nucleon/core/section/sectionOf';
import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { View } from 'react-native';
import { SectionDrawing } from '../../drawing/SectionDrawing';
import { Panel } from '../../ui/layout';
import { useUnits } from '../display/displayStore';

interface PlanDrawingProps {
  readonly plan: Plan;
  readonly thicknessMm: number;
  readonly atDepthMm: number;
  readonly maxHeight: number;
}

/** The section, as wide as it is given. */
export function PlanDrawing({ plan, thicknessMm, atDepthMm, maxHeight }: PlanDrawingProps) {
  const units = useUnits();
  const [width, setWidth] = useState(0);
  const section = sectionOf(plan, { pieceThicknessMm: thicknessMm, units, atDepthMm });
  const measure = ({ nativeEvent }: LayoutChangeEvent): void => {
    setWidth(nativeEvent.layout.width);
  };
  return (
    <Panel wet borderLeftWidth={0} borderRightWidth={0} borderTopWidth={0} testID="section">
      <View onLayout={measure} style={{ width: '100%', minHeight: 120 }}>
        {width > 0 ? (
          <SectionDrawing section={section} width={width} maxHeight={maxHeight} />
        ) : null}
      </View>
    </Panel>
  );
}

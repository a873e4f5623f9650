import { runWords } from '@nucleon/core/words/screens/run';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import { legOf, type RunState } from '@nucleon/core/run/runState';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import Check from 'lucide-react-native/icons/check';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Numeral, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { BigButton } from './BigButton';

interface MeasureSheetProps {
  readonly state: RunState;
  readonly onMeasured: (depthMm: number) => void;
}

/** The depth read off a rule: by big steps, or typed. */
export function MeasureSheet({ state, onMeasured }: MeasureSheetProps) {
  const units = useUnits();
  const { depthMm: end } = legOf(state);
  const [depthMm, setDepthMm] = useState(() => Math.round(state.depthMm * 10) / 10);
  const step = end > 60 ? 5 : end > 15 ? 1 : 0.5;
  const by = (mm: number) => (): void => {
    setDepthMm((now) => Math.min(end, Math.max(0, Math.round((now + mm) * 100) / 100)));
  };
  const change = (mm: number): string => formatLengthShort(Math.abs(mm), units);
  return (
    <Column padding="$3" gap="$3" testID="measure">
      <Small fontSize={20} lineHeight={26}>
        {runWords.fromFaceToFoot}
      </Small>
      <Numeral fontSize={64} lineHeight={70} textAlign="center">
        {formatLengthShort(depthMm, units)}
      </Numeral>
      <Row gap="$2">
        <BigButton label={change(-step)} icon={Minus} onPress={by(-step)} testID="measure-less" />
        <BigButton label={change(step)} icon={Plus} onPress={by(step)} testID="measure-more" />
      </Row>
      <Row gap="$2">
        <BigButton
          label={change(-step / 5)}
          icon={Minus}
          onPress={by(-step / 5)}
          testID="measure-bit-less"
        />
        <BigButton
          label={change(step / 5)}
          icon={Plus}
          onPress={by(step / 5)}
          testID="measure-bit-more"
        />
      </Row>
      <LengthBox
        label={runWords.orTyped}
        valueMm={depthMm}
        anySign
        maxMm={LIMITS.thicknessMm.max}
        onChangeMm={(mm) => {
          setDepthMm(Math.max(0, mm));
        }}
        testID="measured-depth"
      />
      <BigButton
        label={runWords.itIsThisDeep}
        icon={Check}
        look="main"
        tall
        onPress={() => {
          onMeasured(depthMm);
        }}
        testID="measured"
      />
    </Column>
  );
}

import { holeWords } from '@nucleon/core/words/screens/hole';
import { headlineFigures } from '@nucleon/core/words/plan/figures';
import type { Plan } from '@nucleon/core/documents/plan';
import { Column, Row } from '../../ui/layout';
import { Label, Numeral, Small, Strong } from '../../ui/text';
import { useLetterPx } from '../../ui/TextScale';
import { useUnits } from '../display/displayStore';

/** With letters as large as that they stand above the button, not beside it. */
const MIN_PX = 190;
const SHOWN = ['feedForceN', holeWords.rpm, 'drillTimeS'];

/** The three numbers that move as choices change, always in sight at the foot. */
export function LiveBar({ plan }: { readonly plan: Plan }) {
  const units = useUnits();
  const basis = useLetterPx(MIN_PX);
  const stops = plan.gates.filter((gate) => gate.level === 'stop');
  if (stops.length > 0) {
    return (
      <Column flex={1} paddingHorizontal="$2" testID="live-bar">
        <Strong color="$stop">
          {holeWords.stop}
          {stops[0]?.title}
        </Strong>
        <Small>{holeWords.notToBeDrilled}</Small>
      </Column>
    );
  }
  return (
    <Row
      flexGrow={1}
      flexBasis={basis}
      justifyContent="space-around"
      flexWrap="wrap"
      testID="live-bar"
    >
      {headlineFigures(plan, units)
        .filter((figure) => SHOWN.includes(figure.key))
        .map((figure) => (
          <Column key={figure.key} alignItems="center">
            <Label fontSize="$1" lineHeight="$1">
              {figure.label}
            </Label>
            <Row alignItems="baseline" gap={4}>
              <Numeral fontSize="$4" lineHeight="$4">
                {figure.shown.value}
              </Numeral>
              <Small>{figure.shown.unit}</Small>
            </Row>
          </Column>
        ))}
    </Row>
  );
}

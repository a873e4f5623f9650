import { heldWords } from '@nucleon/core/words/screens/held';
import { oddsInWords } from '@nucleon/core/words/odds';
import { formatPressure } from '@nucleon/core/words/units/formatQuantity';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import { Column, Panel, Row } from '../../ui/layout';
import { ShareBar } from '../../ui/ShareBar';
import { Label, Numeral, Small } from '../../ui/text';
import type { StressView } from '../../workers/stressView';
import { useUnits } from '../display/displayStore';

/** How much stress, how near its limit, and the odds; a wall's odds are of its face alone. */
export function HeldFigures({ stress }: { readonly stress: StressView }) {
  const units = useUnits();
  const { bending, totalMpa, limitMpa } = stress;
  const isBuilding = bending.kind === 'declined' && bending.why === 'built-in';
  const isBent = bending.kind === 'bent';
  const share = totalMpa / limitMpa;
  return (
    <Panel wet padding="$4" gap="$3" testID="held-figures">
      <Row gap="$5" flexWrap="wrap" alignItems="flex-start">
        {isBuilding ? null : (
          <Column>
            <Label>{isBent ? heldWords.allStressTogether : heldWords.heatAndBuiltIn}</Label>
            <Numeral>{formatPressure(totalMpa, units)}</Numeral>
          </Column>
        )}
        <Column>
          <Label>
            {isBuilding
              ? heldWords.spoilsFace
              : isBent
                ? heldWords.cracks
                : heldWords.cracksAtLeast}
          </Label>
          <Numeral testID="held-odds">{oddsInWords(stress.crackProbability)}</Numeral>
        </Column>
      </Row>
      {isBuilding ? null : (
        <ShareBar
          strong
          label={heldWords.ofAllowableStress(formatPressure(limitMpa, units))}
          share={Math.min(1, share)}
          text={`${formatDecimals(share * 100, 0)} %`}
        />
      )}
      <Small
        role="status"
        aria-live="polite"
        color={bending.kind === 'trouble' ? '$stop' : '$ink'}
        testID="held-text"
      >
        {stress.text}
      </Small>
    </Panel>
  );
}

/** What the washes of the map stand for, as far as they are on it. */
export function StressLegend({ stress }: { readonly stress: StressView }) {
  const units = useUnits();
  const { bands, limitMpa } = stress;
  if (bands.length === 0) return null;
  const limit = formatPressure(limitMpa, units);
  return (
    <Small testID="stress-legend">
      {heldWords.bendingFromPaleTo(
        bands.map(({ mpa }) => formatPressure(mpa, units)).join(', '),
        bands.some(({ isLimit }) => isLimit),
        limit,
      )}
    </Small>
  );
}

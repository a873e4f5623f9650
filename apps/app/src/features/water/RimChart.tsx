import { waterWords } from '@nucleon/core/words/screens/water';
import type { RimStory } from '@nucleon/core/advice/risk/rimStory';
import { formatTempRise } from '@nucleon/core/words/units/formatQuantity';
import { useTheme } from '@tamagui/core';
import { View } from 'react-native';
import { LineLegend } from '../../drawing/LineLegend';
import { LazyLinesChart } from '../../drawing/lazyLinesChart';
import { useUnits } from '../display/displayStore';

const HEIGHT_PX = 260;
/** Points drawn of those that were worked out. */
const DRAWN = 150;

/** The ring's temperature over the cut: as planned, with a dry spell, and the limit where it is near. */
export default function RimChart({
  story,
  width,
}: {
  readonly story: RimStory;
  readonly width: number;
}) {
  const theme = useTheme();
  const units = useUnits();
  const { atS, wetK, dryK, limitK, maxDryK, maxWetK } = story;
  const every = Math.max(1, Math.floor(atS.length / DRAWN));
  const showsLimit = limitK !== null && limitK < 1.6 * maxDryK;
  const data = Array.from(atS.keys())
    .filter((i) => i % every === 0)
    .map((i) => ({
      s: Math.round(atS[i] ?? 0),
      wet: wetK[i] ?? 0,
      dry: dryK[i] ?? 0,
      ...(showsLimit ? { limit: limitK } : {}),
    })) as Record<string, number>[];
  const lines = [
    { yKey: 'dry', label: waterWords.withDrySpell, color: theme.rim.val, dash: [6, 4] },
    { yKey: 'wet', label: waterWords.asPlanned, color: theme.water.val, dash: null },
    ...(showsLimit
      ? [{ yKey: 'limit', label: waterWords.allowableStress, color: theme.stop.val, dash: [2, 4] }]
      : []),
  ];
  return (
    <View testID="rim-chart">
      <LazyLinesChart
        data={data}
        xKey="s"
        lines={lines}
        width={width}
        height={HEIGHT_PX}
        formatX={(seconds) => `${seconds} s`}
        formatY={(kelvin) => formatTempRise(kelvin, units)}
        label={waterWords.temperatureOfRingAbove(
          formatTempRise(maxWetK, units),
          formatTempRise(maxDryK, units),
        )}
      />
      <LineLegend lines={lines} />
    </View>
  );
}

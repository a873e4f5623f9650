import { hireWords } from '@nucleon/core/words/screens/hire';
import { formatMoney } from '@nucleon/core/words/units/money';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import type { DescribedHireOption } from '@nucleon/core/words/advice/hireInWords';
import { View } from 'react-native';
import { LazyLinesChart } from '../../drawing/lazyLinesChart';
import { LINE_DASHES, useLineTones } from './lineLooks';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';

const HEIGHT_PX = 280;
/** The chart reaches a little beyond the holes that are asked about. */
const ROOM = 1.6;
const MIN_HOLES = 12;

interface CostChartProps {
  readonly options: readonly DescribedHireOption[];
  readonly holes: number;
  readonly width: number;
}

/** Cost against number of holes, a line for each way: where they cross, the other becomes cheaper. */
export default function CostChart({ options, holes, width }: CostChartProps) {
  const tones = useLineTones();
  const units = useUnits();
  const max = Math.min(
    options[0]?.costMoney.length ?? 1,
    Math.max(MIN_HOLES, Math.ceil(holes * ROOM)),
  );
  const data = Array.from({ length: max }, (_, index) => ({
    holes: index + 1,
    ...Object.fromEntries(options.map(({ way, costMoney }) => [way, costMoney[index] ?? 0])),
  })) as Record<string, number>[];
  return (
    <View testID="cost-chart">
      <Small>{hireWords.costByHoles(units.currency)}</Small>
      <LazyLinesChart
        data={data}
        xKey="holes"
        lines={options.map(({ way, title }) => ({
          yKey: way,
          label: title,
          color: tones[way],
          dash: LINE_DASHES[way],
        }))}
        width={width}
        height={HEIGHT_PX}
        formatX={(holesShown) => holesShown}
        formatY={(money) => formatDecimals(money, 1)}
        label={hireWords.costOfHoles(
          max,
          options.map(({ title, costMoney }) => ({
            title,
            one: formatMoney(costMoney[0] ?? 0, units),
            all: formatMoney(costMoney[max - 1] ?? 0, units),
          })),
        )}
      />
    </View>
  );
}

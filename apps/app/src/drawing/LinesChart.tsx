import { LineChart } from 'react-native-chart-kit/v2';
import { useChartTheme } from './useChartTheme';

export interface ChartLine {
  readonly yKey: string;
  readonly label: string;
  readonly color: string;
  readonly dash: readonly number[] | null;
}

export interface LinesChartProps {
  readonly data: Record<string, number>[];
  readonly xKey: string;
  readonly lines: readonly ChartLine[];
  readonly width: number;
  readonly height: number;
  readonly formatX: (value: string) => string;
  readonly formatY: (value: number) => string;
  readonly label: string;
}

/** Lines over an axis from zero, told apart by dash as by colour. The one place that loads the chart's library. */
export default function LinesChart(props: LinesChartProps) {
  const { data, xKey, lines, width, height, formatX, formatY, label } = props;
  const theme = useChartTheme();
  return (
    <LineChart
      data={data}
      xKey={xKey}
      series={lines.map(({ dash, ...line }) => ({
        ...line,
        strokeWidth: 2.5,
        strokeDasharray: dash ?? undefined,
        dot: false,
      }))}
      width={width}
      height={height}
      theme={theme}
      showDots={false}
      legend={false}
      yDomain={{ includeZero: true }}
      formatYLabel={formatY}
      formatXLabel={(value) => formatX(String(value))}
      accessibilityLabel={label}
    />
  );
}

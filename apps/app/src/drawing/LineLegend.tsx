import { Row } from '../ui/layout';
import { Small } from '../ui/text';
import { LineSwatch } from './LineSwatch';
import type { ChartLine } from './LinesChart';

/** Which line is which, by tone and dash. */
export function LineLegend({ lines }: { readonly lines: readonly ChartLine[] }) {
  return (
    <Row gap="$4" flexWrap="wrap">
      {lines.map(({ yKey, label, color, dash }) => (
        <Row key={yKey} gap="$2">
          <LineSwatch tone={color} dash={dash} />
          <Small>{label}</Small>
        </Row>
      ))}
    </Row>
  );
}

import { routes } from '../../routes';
import { INCH_POUND, METRIC } from '@nucleon/core/data/unitSystem';
import { formatForce } from '@nucleon/core/words/units/formatQuantity';
import { formatLength } from '@nucleon/core/words/units/length';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Heading, Small } from '../../ui/text';
import { BenchSheet } from '../run/BenchSheet';
import { useDisplay } from './displayStore';

const EXAMPLE_MM = 6.35;
const EXAMPLE_N = 26;

/** How this device shows things. */
export function DisplayScreen() {
  const { theme, units, setTheme, setUnits } = useDisplay();
  return (
    <Page
      title="Display"
      subtitle="On this device"
      back={{ href: routes.jobs(), label: 'all jobs' }}
    >
      <Column padding="$4" gap="$5">
        <Chips
          label="Light or dark"
          chips={[
            { value: 'auto', label: 'As the device' },
            { value: 'light', label: 'Light' },
            { value: 'dark', label: 'Dark' },
          ]}
          value={theme}
          onChange={setTheme}
          testID="theme"
        />
        <Chips
          label="Lengths"
          chips={[
            { value: 'mm', label: 'Millimetres' },
            { value: 'inch', label: 'Inches' },
          ]}
          value={units.length}
          onChange={(length) => {
            setUnits(
              length === 'mm'
                ? { ...METRIC, force: units.force === 'lbf' ? 'N' : units.force }
                : INCH_POUND,
            );
          }}
          testID="length-units"
        />
        <Chips
          label="Force"
          chips={[
            { value: 'N', label: 'Newton' },
            { value: 'kgf', label: 'Kilogram-force' },
            { value: 'lbf', label: 'Pound-force' },
          ]}
          value={units.force}
          onChange={(force) => {
            setUnits({ ...units, force });
          }}
          testID="force-units"
        />
        <Small>
          A {formatLength(EXAMPLE_MM, units)} pane, pressed with {formatForce(EXAMPLE_N, units)}.
          You can type either unit anywhere: 6 mm or 1/4 in.
        </Small>
        <Heading aria-level={2}>At the bench</Heading>
        <BenchSheet />
      </Column>
    </Page>
  );
}

import { displayWords } from '@nucleon/core/words/screens/display';
import { commonWords } from '@nucleon/core/words/screens/common';
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
      title={displayWords.display}
      subtitle={displayWords.onThisDevice}
      back={{ href: routes.jobs(), label: commonWords.allJobs }}
    >
      <Column padding="$4" gap="$5">
        <Chips
          label={displayWords.lightOrDark}
          chips={[
            { value: 'auto', label: displayWords.asDevice },
            { value: 'light', label: displayWords.light },
            { value: 'dark', label: displayWords.dark },
          ]}
          value={theme}
          onChange={setTheme}
          testID="theme"
        />
        <Chips
          label={displayWords.lengths}
          chips={[
            { value: 'mm', label: displayWords.millimetres },
            { value: 'inch', label: displayWords.inches },
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
          label={displayWords.force}
          chips={[
            { value: 'N', label: displayWords.newton },
            { value: 'kgf', label: displayWords.kilogramForce },
            { value: 'lbf', label: displayWords.poundForce },
          ]}
          value={units.force}
          onChange={(force) => {
            setUnits({ ...units, force });
          }}
          testID="force-units"
        />
        <Small>
          {displayWords.aPanePressedWith(
            formatLength(EXAMPLE_MM, units),
            formatForce(EXAMPLE_N, units),
          )}
        </Small>
        <Heading aria-level={2}>{displayWords.atBench}</Heading>
        <BenchSheet />
      </Column>
    </Page>
  );
}

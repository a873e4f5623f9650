import { displayWords } from '@nucleon/core/words/screens/display';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { INCH_POUND, METRIC, type UnitSystem } from '@nucleon/core/data/unitSystem';
import { formatForce } from '@nucleon/core/words/units/formatQuantity';
import { formatLength } from '@nucleon/core/words/units/length';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { TextBox } from '../../ui/TextBox';
import { Page } from '../../ui/Page';
import { Heading, Small } from '../../ui/text';
import { CurrencyBox } from './CurrencyBox';
import { OwnSession } from '../people/OwnSession';
import { ReachSheet } from '../people/ReachSheet';
import { useSession } from '../people/useSession';
import { BenchSheet } from '../run/BenchSheet';
import { useDisplay } from './displayStore';

const EXAMPLE_MM = 6.35;
const EXAMPLE_N = 26;
/** What a run’s record takes. */
const MAX_NAME = 80;

/** How this device shows things. */
export function DisplayScreen() {
  const { theme, units, textScale, person, setTheme, setUnits, setTextScale, setPerson } =
    useDisplay();
  const session = useSession();
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
          label={displayWords.letters}
          chips={[
            { value: 1, label: displayWords.asBrowser },
            { value: 1.5, label: displayWords.larger },
            { value: 2, label: displayWords.twiceAsLarge },
          ]}
          value={textScale}
          onChange={setTextScale}
          testID="text-scale"
        />
        <UnitChips units={units} setUnits={setUnits} />
        <CurrencyBox units={units} setUnits={setUnits} />
        <Heading aria-level={2}>{displayWords.atBench}</Heading>
        <TextBox
          label={displayWords.whoDrills}
          note={displayWords.whoDrillsWhy}
          value={person}
          onChangeText={(text) => {
            setPerson(text.slice(0, MAX_NAME));
          }}
          testID="person"
        />
        <BenchSheet />
        {session?.kind === 'person' ? <OwnSession session={session} /> : null}
        <ReachSheet />
      </Column>
    </Page>
  );
}

/** Millimetres or inches, how a tape reads, and what forces are given in. */
function UnitChips({
  units,
  setUnits,
}: {
  readonly units: UnitSystem;
  readonly setUnits: (units: UnitSystem) => void;
}) {
  return (
    <>
      <Chips
        label={displayWords.lengths}
        chips={[
          { value: 'mm', label: displayWords.millimetres },
          { value: 'inch', label: displayWords.inches },
        ]}
        value={units.length}
        onChange={(length) => {
          const { currency } = units;
          const lengths: UnitSystem =
            length === 'mm'
              ? { ...METRIC, force: units.force === 'lbf' ? 'N' : units.force }
              : INCH_POUND;
          setUnits({ ...lengths, ...(currency === undefined ? {} : { currency }) });
        }}
        testID="length-units"
      />
      {units.length === 'inch' ? (
        <Chips
          label={displayWords.tapeReads}
          chips={[
            { value: 16, label: displayWords.sixteenths },
            { value: 32, label: displayWords.thirtySeconds },
          ]}
          value={units.tape ?? 16}
          onChange={(tape) => {
            setUnits({ ...units, tape: tape === 32 ? 32 : 16 });
          }}
          testID="tape-marks"
        />
      ) : null}
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
    </>
  );
}

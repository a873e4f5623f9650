import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { Damage } from '@nucleon/core/data/choices';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { FORM_CHIPS } from '../hole/choiceWords';
import type { StepProps } from './stepProps';

/** Sheet, slab, vessel and so on. */
export function FormStep({ room, knowing }: StepProps) {
  return (
    <Chips
      label="Form"
      hideLabel
      chips={FORM_CHIPS}
      value={room.edit.piece.form}
      onChange={(form) => {
        knowing.settle('form', form, { form });
      }}
      testID="know-form"
    />
  );
}

const LOOSE = [
  { value: 'loose', label: 'Loose: it can be turned and bedded' },
  { value: 'assembled', label: 'Built in: a tank, a fitted top, a hung tile' },
] as const;

/** Whether it can be laid on a bed and turned over. */
export function LooseStep({ room, knowing }: StepProps) {
  const { assembled } = room.edit.piece;
  return (
    <Chips
      label="Loose or built in"
      hideLabel
      chips={LOOSE}
      value={assembled === undefined ? undefined : assembled ? 'assembled' : 'loose'}
      onChange={(how) => {
        knowing.settle('loose', how, { assembled: how === 'assembled' });
      }}
      testID="know-loose"
    />
  );
}

const DAMAGES: readonly { value: Damage; label: string }[] = [
  { value: 'none', label: 'None that I can find' },
  { value: 'edge-chip', label: 'Chips at an edge' },
  { value: 'mended', label: 'Mended before' },
  { value: 'crack', label: 'A crack' },
];

/** Cracks, chips, mends. */
export function DamageStep({ room, knowing }: StepProps) {
  return (
    <>
      <Small>
        Wet it and look along it against a window: a crack stays dark longest. Flick it: a cracked
        pot buzzes.
      </Small>
      <Chips
        label="Damage"
        hideLabel
        chips={DAMAGES}
        value={room.edit.piece.damage}
        onChange={(damage) => {
          knowing.settle('damage', damage, { damage });
        }}
        testID="know-damage"
      />
    </>
  );
}

const YEAR = { min: 0, max: 2200, unit: 'as a year' } as const;

/** The year, or that nobody knows it. */
export function AgeStep({ room, knowing }: StepProps) {
  const [year, setYear] = useState(room.edit.piece.yearMade);
  return (
    <>
      <Small>
        Old tiles, adhesives, boards and glazes may hold what must not be breathed. A rough year
        will do.
      </Small>
      <NumberBox
        label="Year"
        value={year}
        limit={YEAR}
        onChange={setYear}
        placeholder="such as 1985"
        testID="know-year"
      />
      <Button
        label="Use this"
        icon={ArrowRight}
        look="main"
        disabled={year === undefined}
        onPress={() => {
          knowing.settle('age', 'year', { yearMade: year });
        }}
        testID="know-year-use"
      />
      <Button
        label="Nobody knows"
        onPress={() => {
          knowing.settle('age', 'unknown', { yearMade: undefined });
        }}
      />
    </>
  );
}

const SPARE = [
  { value: 'yes', label: 'There is a spare or an offcut' },
  { value: 'no', label: 'It is the only one' },
] as const;

/** What it is worth and whether there is another. */
export function WorthStep({ room, knowing }: StepProps) {
  const { piece, changePiece } = room.edit;
  return (
    <>
      <NumberBox
        label="To replace it, in your money"
        value={piece.valueMoney}
        limit={LIMITS.money}
        placeholder="roughly"
        onChange={(valueMoney) => {
          changePiece({ valueMoney }, 'value');
        }}
        testID="know-value"
      />
      <Chips
        label="Is there another?"
        chips={SPARE}
        value={piece.spareAvailable === undefined ? undefined : piece.spareAvailable ? 'yes' : 'no'}
        onChange={(spare) => {
          knowing.settle('worth', spare, { spareAvailable: spare === 'yes' });
        }}
        testID="know-spare"
      />
    </>
  );
}

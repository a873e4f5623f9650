import { knowWords } from '@nucleon/core/words/screens/know';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { Damage } from '@nucleon/core/data/choices';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { NumberBox } from '../../ui/NumberBox';
import { Small } from '../../ui/text';
import { FORM_CHIPS } from '@nucleon/core/words/screens/choiceChips';
import type { StepProps } from './stepProps';
import { useUnits } from '../display/displayStore';
import { SheetField } from './SheetField';

/** Sheet, slab, vessel and so on. */
export function FormStep({ room, knowing }: StepProps) {
  return (
    <Chips
      label={knowWords.form}
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
  { value: 'loose', label: knowWords.looseItCanBe },
  { value: 'assembled', label: knowWords.builtInTankFitted },
] as const;

/** Whether it can be laid on a bed and turned over. */
export function LooseStep({ room, knowing }: StepProps) {
  const { assembled } = room.edit.piece;
  return (
    <Chips
      label={knowWords.looseOrBuiltIn}
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
  { value: 'none', label: knowWords.noneThatICan },
  { value: 'edge-chip', label: knowWords.chipsAtEdge },
  { value: 'mended', label: knowWords.mendedBefore },
  { value: 'crack', label: knowWords.aCrack },
];

/** Cracks, chips, mends. */
export function DamageStep({ room, knowing }: StepProps) {
  return (
    <>
      <Small>{knowWords.wetItAndLook}</Small>
      <Chips
        label={knowWords.damage}
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

const YEAR = { min: 0, max: 2200, unit: knowWords.asYear } as const;

/** The year, or that nobody knows it. */
export function AgeStep({ room, knowing }: StepProps) {
  const [year, setYear] = useState(room.edit.piece.yearMade);
  return (
    <>
      <Small>{knowWords.oldTilesAdhesivesBoards}</Small>
      <NumberBox
        label={knowWords.year}
        value={year}
        limit={YEAR}
        onChange={setYear}
        placeholder={knowWords.suchAs1985}
        testID="know-year"
      />
      <Button
        label={commonWords.useThis}
        icon={ArrowRight}
        look="main"
        disabled={year === undefined}
        onPress={() => {
          knowing.settle('age', 'year', { yearMade: year });
        }}
        testID="know-year-use"
      />
      <Button
        label={knowWords.nobodyKnows}
        onPress={() => {
          knowing.settle('age', 'unknown', { yearMade: undefined });
        }}
      />
    </>
  );
}

const SPARE = [
  { value: 'yes', label: knowWords.thereIsSpareOr },
  { value: 'no', label: knowWords.itIsOnlyOne },
] as const;

/** What it is worth and whether there is another. */
export function WorthStep({ room, knowing }: StepProps) {
  const { currency } = useUnits();
  const { piece, changePiece } = room.edit;
  return (
    <>
      <NumberBox
        label={knowWords.toReplaceItIn(currency)}
        value={piece.valueMoney}
        limit={LIMITS.money}
        placeholder={knowWords.roughly}
        onChange={(valueMoney) => {
          changePiece({ valueMoney }, 'value');
        }}
        testID="know-value"
      />
      <SheetField room={room} />
      <Chips
        label={knowWords.isThereAnother}
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

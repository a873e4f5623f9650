import { isCurrency, type UnitSystem } from '@nucleon/core/data/unitSystem';
import { displayWords } from '@nucleon/core/words/screens/display';
import { useState } from 'react';
import { TextBox } from '../../ui/TextBox';

interface CurrencyBoxProps {
  readonly units: UnitSystem;
  readonly setUnits: (units: UnitSystem) => void;
}

/** What money is counted in, by three letters; taken as soon as they are a currency, or gone. */
export function CurrencyBox({ units, setUnits }: CurrencyBoxProps) {
  const [typed, setTyped] = useState(units.currency ?? '');
  const isKnown = typed === '' || isCurrency(typed);
  return (
    <TextBox
      label={displayWords.money}
      value={typed}
      onChangeText={(text) => {
        const code = text.trim().toUpperCase();
        setTyped(code);
        const { currency: _old, ...others } = units;
        if (code === '') setUnits(others);
        else if (isCurrency(code)) setUnits({ ...others, currency: code });
      }}
      fault={typed.length >= 3 && !isKnown ? displayWords.noSuchCurrency(typed) : undefined}
      note={displayWords.moneyWhy}
      testID="currency"
    />
  );
}

import { METRIC } from '@nucleon/core/data/unitSystem';
import { screen } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { CurrencyBox } from './CurrencyBox';

it('takes a currency by its three letters, says what is none, and lets it go again', () => {
  const setUnits = jest.fn();
  show(<CurrencyBox units={METRIC} setUnits={setUnits} />);
  typeIn(screen.getByTestId('currency'), 'eux');
  expect(screen.getByText(/“EUX” is no currency/)).toBeTruthy();
  expect(setUnits).not.toHaveBeenCalled();
  typeIn(screen.getByTestId('currency'), 'chf');
  expect(setUnits).toHaveBeenLastCalledWith({ ...METRIC, currency: 'CHF' });
  typeIn(screen.getByTestId('currency'), '');
  expect(setUnits).toHaveBeenLastCalledWith(METRIC);
});

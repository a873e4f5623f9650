import { isUnitSystem, METRIC } from '../../data/unitSystem';
import { formatMoney, ofYourMoney } from './money';

it('shows a bare figure until somebody says the currency, then its own sign', () => {
  expect(formatMoney(12.5, METRIC)).toBe('12.50');
  expect(formatMoney(12.5, { currency: 'EUR' })).toBe('€12.50');
  expect(formatMoney(1234.5, { currency: 'GBP' })).toBe('£1,235');
  expect(formatMoney(1234.5, METRIC)).toBe('1235');
  expect(formatMoney(NaN, { currency: 'EUR' })).toBe('–');
  expect(ofYourMoney(METRIC)).toBe(' of your money');
  expect(ofYourMoney({ currency: 'EUR' })).toBe('');
});

it('takes a currency there is, and no other', () => {
  expect(isUnitSystem({ ...METRIC, currency: 'CHF' })).toBe(true);
  for (const currency of ['eur', 'EURO', 'QQQ', '', 7])
    expect(isUnitSystem({ ...METRIC, currency })).toBe(false);
});

import type { UnitSystem } from '../../data/unitSystem';

/** From here on nobody counts the hundredths. */
const WHOLE_FROM = 100;

/** In the currency that was chosen; a bare figure without one: whose money it is, the person knows. */
export function formatMoney(amount: number, { currency }: Pick<UnitSystem, 'currency'>): string {
  if (!Number.isFinite(amount)) return '–';
  const digits = amount < WHOLE_FROM ? 2 : 0;
  return currency === undefined
    ? amount.toFixed(digits)
    : new Intl.NumberFormat('en', {
        style: 'currency',
        currency,
        minimumFractionDigits: digits,
        maximumFractionDigits: digits,
      }).format(amount);
}

/** ` of your money`, where no currency says so. */
export const ofYourMoney = ({ currency }: Pick<UnitSystem, 'currency'>): string =>
  currency === undefined ? ' of your money' : '';

import { formatTape } from './length';

it('reads a tape to its finest mark, sixteenths unless it has finer', () => {
  const inch = { length: 'inch', force: 'lbf' } as const;
  expect(formatTape(100, inch)).toBe('3 15/16 in');
  expect(formatTape(101, inch)).toBe('4 in');
  expect(formatTape(101, { ...inch, tape: 32 })).toBe('3 31/32 in');
  expect(formatTape(0.2, inch)).toBe('0 in');
  expect(formatTape(101, { length: 'mm', force: 'N' })).toBe('101 mm');
});

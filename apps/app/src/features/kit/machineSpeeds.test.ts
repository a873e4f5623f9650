import { readSpeeds, showSpeeds } from './machineSpeeds';

it('reads steps and ranges, and shows them as they are typed', () => {
  expect(readSpeeds('280, 480 750')).toEqual({ kind: 'steps', rpm: [280, 480, 750] });
  expect(readSpeeds('600-8500')).toEqual({ kind: 'range', minRpm: 600, maxRpm: 8500 });
  expect(showSpeeds({ kind: 'range', minRpm: 600, maxRpm: 8500 })).toBe('600-8500');
  expect(
    showSpeeds({
      kind: 'gears',
      gears: [
        { minRpm: 0, maxRpm: 500 },
        { minRpm: 1250, maxRpm: 1250 },
      ],
    }),
  ).toBe('0-500 / 1250');
});

it.each(['', 'fast', '8500-600', '0', '-5', '200000'])('does not read “%s”', (text) => {
  expect(readSpeeds(text)).toBeNull();
});

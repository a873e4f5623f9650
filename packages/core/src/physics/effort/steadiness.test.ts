import { steadinessFromExtremes, steadinessOf, type ForceSample } from './steadiness';

const band = { minN: 20, wantedN: 26, maxN: 32 };
/** Readings every tenth of a second, from any moment on. */
const every = (forces: readonly number[], fromMs = 0): ForceSample[] =>
  forces.map((forceN, i) => ({ atMs: fromMs + i * 100, forceN }));

it('leaves out the first second, from whenever it began', () => {
  const settling = Array.from({ length: 10 }, () => 90);
  const held = Array.from({ length: 60 }, () => 26);
  for (const fromMs of [0, 50_000]) {
    const { seconds, within, meanN, lnSd } = steadinessOf(
      every([...settling, ...held], fromMs),
      band,
    );
    expect(seconds).toBeCloseTo(5.9, 9);
    expect(within).toBe(1);
    expect(meanN).toBeCloseTo(26, 9);
    expect(lnSd).toBeCloseTo(0, 9);
  }
});

it('leaves out what is no pressing, and weighs a reading by the time to the next', () => {
  const samples: ForceSample[] = [
    ...every(Array.from({ length: 10 }, () => 26)),
    { atMs: 1000, forceN: 20 },
    { atMs: 4000, forceN: 32 },
    { atMs: 5000, forceN: 0.4 },
    ...Array.from({ length: 20 }, (_, i) => ({ atMs: 9000 + i * 100, forceN: 40 })),
  ];
  const { seconds, within, meanN } = steadinessOf(samples, band);
  // 3 s at 20, 1 s at 32, 1.9 s at 40; the four seconds of no touch count for nothing.
  expect(seconds).toBeCloseTo(5.9, 9);
  expect(meanN).toBeCloseTo((3 * 20 + 32 + 1.9 * 40) / 5.9, 9);
  // Both ends of the band are in it.
  expect(within).toBeCloseTo(4 / 5.9, 9);
});

it('says nothing of less than five seconds or of ten readings', () => {
  const held = (count: number, stepMs: number): ForceSample[] =>
    Array.from({ length: count }, (_, i) => ({ atMs: i * stepMs, forceN: 26 }));
  expect(steadinessOf(held(62, 100), band).verdict).toBe('good');
  expect(steadinessOf(held(59, 100), band).verdict).toBe('too-short');
  // Twelve readings a second apart: ten of them count.
  expect(steadinessOf(held(12, 1000), band).verdict).toBe('good');
  expect(steadinessOf(held(11, 1000), band).verdict).toBe('too-short');
  expect(steadinessOf([], band)).toEqual({
    seconds: 0,
    within: 0,
    meanN: 0,
    lnSd: 0,
    verdict: 'too-short',
  });
});

it('is good within the band for four fifths of the time, else light, heavy or uneven by its mean', () => {
  const tenths = (inBand: number, other: number) =>
    every([
      ...Array.from({ length: 10 }, () => 26),
      ...Array.from({ length: 100 }, (_, i) => (i % 10 < inBand ? 26 : other)),
      26,
    ]);
  expect(steadinessOf(tenths(8, 60), band).verdict).toBe('good');
  expect(steadinessOf(tenths(7, 34), band).verdict).toBe('uneven');
  expect(steadinessOf(tenths(3, 34), band).verdict).toBe('uneven');
  expect(steadinessOf(tenths(3, 60), band).verdict).toBe('heavy');
  expect(steadinessOf(tenths(3, 5), band).verdict).toBe('light');
});

it('takes a hand that showed one force for all steady, in the band or out of it', () => {
  expect(steadinessFromExtremes(26, 26, band)).toMatchObject({ lnSd: 0, within: 1, meanN: 26 });
  expect(steadinessFromExtremes(10, 10, band)).toMatchObject({ within: 0, verdict: 'light' });
  expect(steadinessFromExtremes(40, 40, band)).toMatchObject({ within: 0, verdict: 'heavy' });
  // Given the wrong way round it is the same.
  expect(steadinessFromExtremes(30, 20, band)).toEqual(steadinessFromExtremes(20, 30, band));
  expect(steadinessFromExtremes(20, 30, band).meanN).toBeCloseTo(Math.sqrt(600), 9);
});

import { bathFill } from './fill';
import { waterFlow } from './flow';
import { finesMass, turbidityLimit, waterChangeDepths } from './turbidity';

it('finds the turbidity limit of the worked case', () => {
  expect(turbidityLimit(6)).toBeCloseTo(2.635, 3);
  expect(finesMass(2500, 75.398, 6)).toBeCloseTo(1.131, 3);
});

it('clouds sooner under deeper water and with finer grain', () => {
  expect(turbidityLimit(12)).toBeCloseTo(turbidityLimit(6) / 2);
  expect(turbidityLimit(6, 5)).toBeCloseTo(turbidityLimit(6) / 2);
});

it('changes water each time the limit is reached, never at the end', () => {
  // 60 g/L in 0.1 L at 2 g a millimetre: every 3 mm.
  const steered = { toSeeGPerL: 1.58, seenToMm: 0 };
  expect(waterChangeDepths(steered, 0.1, 2, 10)).toEqual([3, 6, 9]);
  expect(waterChangeDepths(steered, 0.1, 2, 3)).toEqual([]);
});

it('keeps the mark in sight until the bit is seated, then only the groove clear', () => {
  // Clouded every 0.1 L · 1 g/L / 0.5 g/mm = 0.2 mm; after 0.5 mm the 12 mm that 60 g/L allow.
  const byEye = { toSeeGPerL: 1, seenToMm: 0.5 };
  expect(waterChangeDepths(byEye, 0.1, 0.5, 10)).toEqual([0.2, 0.4]);
  expect(waterChangeDepths(byEye, 0.1, 0.5, 14)).toEqual([0.2, 0.4, 12.4]);
});

it('pours tray volume less the solids', () => {
  const fill = bathFill({
    trayAreaMm2: 500 * 450,
    backingMm: 25,
    backingAreaMm2: 100_000,
    thicknessMm: 6,
    pieceAreaMm2: 100_000,
    coverMm: 6,
  });
  expect(fill).toBeCloseTo((225_000 * 37 - 100_000 * 31) / 1e6);
});

it('runs the most of heat, fines, lifting the cuttings and the least', () => {
  const concrete = waterFlow({
    powerW: 658.9,
    densityKgPerM3: 2350,
    kerfAreaMm2: 1083.06,
    rateMmPerS: 0.374944,
    diameterMm: 102,
    clearancePerSideMm: 0.25,
  });
  expect(concrete.forHeatLPerMin).toBeCloseTo(0.63, 2);
  // π · 102 mm · 0.25 mm · 0.4 m/s = 32.04 mL/s: the rising water asks for most.
  expect(concrete.forRisingLPerMin).toBeCloseTo(1.923, 3);
  expect(concrete.minLPerMin).toBeCloseTo(1.02, 3);
  expect(concrete.flowLPerMin).toBe(concrete.forRisingLPerMin);
  const granite = waterFlow({
    powerW: 117.3,
    densityKgPerM3: 2650,
    kerfAreaMm2: 207.35,
    rateMmPerS: 0.181029,
    diameterMm: 35,
    clearancePerSideMm: 0.1,
  });
  expect(granite.forHeatLPerMin).toBeCloseTo(0.112, 3);
  expect(granite.forFinesLPerMin).toBeCloseTo(0.099, 3);
});

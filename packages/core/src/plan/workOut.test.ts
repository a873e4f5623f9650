import { wallOf, type JobParts } from '../setup/jobFixtures';
import { MARKING_MM } from '../layout/aim';
import { coreBit, workedOut } from './planFixtures';

describe('where cuts meet', () => {
  const SOLID: JobParts = {
    piece: wallOf(['clay-brick', 150]),
    hole: { diameterMm: 52 },
    setup: { bit: 'core', hold: 'guided' },
    bits: [
      coreBit(52, 200),
      { id: 'rod', name: 'Masonry 10', family: 'masonry-bit', diameterMm: 10, usableDepthMm: 300 },
    ],
  };
  const meeting = (pilotMm: number) =>
    workedOut(SOLID, [
      { id: 'p', does: 'pilot', bitId: 'rod', wet: false, toMm: pilotMm },
      { id: 'n', does: 'core', toMm: 75 },
      { id: 'turn', does: 'go-round' },
      { id: 'f', does: 'core', face: 'far' },
    ]).crossingMm ?? NaN;

  it('they miss by their lean and the marking, which only a pilot through the whole takes away', () => {
    const short = meeting(100);
    const through = meeting(150);
    expect(short - through).toBeCloseTo(MARKING_MM, 9);
    // √(75² + 75²)·tan(lean): the pilot’s own depth does not come into it.
    expect(meeting(60)).toBeCloseTo(short, 12);
    expect(workedOut({}).crossingMm).toBeNull();
  });
});

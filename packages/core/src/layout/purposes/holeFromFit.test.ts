import { holeDiameter, holeFromFit } from './holeFromFit';
import { PURPOSES } from './purposes';

const scene = { thicknessMm: 272, pieceMassKg: null };
const given = { outerDiameterMm: 90, fallOneIn: 50 };

it('feeds diameter, depth, fall and bit, and leaves the rest of the setup', () => {
  const outcome = PURPOSES.pipe.size(given, scene);
  if (outcome.kind !== 'sized') throw new Error('faulty');
  const purpose = { kind: 'pipe', ...given };
  const bit = { id: 'core', diameterMm: 96 };
  expect(holeDiameter(outcome.numbers, undefined)).toBe(94);
  const hole = { setup: { machine: 'drill', bits: ['a', 'b'] } };
  expect(holeFromFit(hole, purpose, outcome.numbers, bit)).toEqual({
    purpose,
    diameterMm: 96,
    depth: { kind: 'through' },
    fall: { oneIn: 50, lowSide: 'far' },
    setup: { machine: 'drill', bit: 'core', bits: undefined },
  });
  expect(holeFromFit(hole, purpose, outcome.numbers, undefined).setup).toEqual(hole.setup);
});

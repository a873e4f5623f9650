import { METRIC } from '../../data/unitSystem';
import { holeDiameter, holeFromFit } from './holeFromFit';
import { PURPOSES } from './purposes';

const scene = { thicknessMm: 272, pieceMassKg: null, units: METRIC };
const given = { outerDiameterMm: 110, fallOneIn: 60 };

it('feeds diameter, depth, fall and bit, and leaves the rest of the setup', () => {
  const outcome = PURPOSES.pipe.fit(given, scene);
  if (outcome.kind !== 'fits') throw new Error('faulty');
  const purpose = { kind: 'pipe', ...given };
  const bit = { id: 'core', diameterMm: 117 };
  expect(holeDiameter(outcome.fit, undefined)).toBe(114);
  const hole = { setup: { machine: 'drill', bits: ['a', 'b'] } };
  expect(holeFromFit(hole, purpose, outcome.fit, bit)).toEqual({
    purpose,
    diameterMm: 117,
    depth: { kind: 'through' },
    fall: { oneIn: 60, lowSide: 'far' },
    setup: { machine: 'drill', bit: 'core', bits: undefined },
  });
  expect(holeFromFit(hole, purpose, outcome.fit, undefined).setup).toEqual(hole.setup);
});

import { caseWith } from '../setup/jobFixtures';
import { contextOf } from './contextOf';

it('works out what is right, and says of the rest where it is wrong', () => {
  const right = caseWith();
  expect(contextOf(right)).toMatchObject({ kind: 'worked-out', context: { depthMm: 6 } });
  const outside = { ...right, hole: { ...right.hole, xMm: 2000 } };
  const faulty = contextOf(outside);
  expect(faulty).toMatchObject({ kind: 'faulty' });
  expect(faulty).not.toHaveProperty('context');
});

it('says that the bending is still to come where nobody works it out', () => {
  const outcome = contextOf(caseWith());
  expect(outcome).toMatchObject({ context: { crackCase: { bending: { kind: 'declined' } } } });
});

import { caseIn, jobWith } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { practicePiece } from './practicePiece';

it('is of the same kind, worth nothing, with the same hole in its middle', () => {
  const file = jobWith({
    piece: { valueMoney: 90, outline: { kind: 'circle', diameterMm: 420 } },
    hole: { label: 'Arbor', xMm: 60, yMm: 210 },
  });
  const piece = file.pieces[0];
  const hole = piece?.holes[0];
  if (!piece || !hole) throw new Error('fixture');
  const made = practicePiece(piece, hole);
  expect(made.piece).toMatchObject({ practice: true, valueMoney: 0, thicknessMm: 6 });
  expect(made.hole.label).toBe('Arbor, for practice');
  const outcome = makePlan(
    caseIn({
      ...file,
      pieces: [{ ...made.piece, id: 'p', holes: [{ ...made.hole, id: 'hole' }] }],
    }),
  );
  const real = makePlan(caseIn(file));
  if (outcome.kind !== 'planned' || real.kind !== 'planned') throw new Error('faulty');
  expect(outcome.plan.feedForceN).toBeCloseTo(real.plan.feedForceN);
});

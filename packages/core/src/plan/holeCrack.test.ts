import { rememberingBend } from '../physics/plate/bender';
import { caseWith } from '../setup/jobFixtures';
import type { Possibility } from '../documents/piece';
import type { CrackOdds } from '../physics/strength/crackOdds';
import { contextOf } from './contextOf';
import { crackOf } from './holeCrack';
import { planCrack, type CrackCase } from './planCrack';
import { cutsOf, type PlanContext } from './planContext';

const bend = rememberingBend();
const OUTLINE = { kind: 'rectangle', widthMm: 400, heightMm: 300 } as const;
const planned = (couldBe: Possibility[] = []): PlanContext => {
  const piece = { form: 'sheet', material: 'basalt', thicknessMm: 10, outline: OUTLINE } as const;
  const outcome = contextOf(caseWith({ piece: { ...piece, couldBe } }), bend);
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.context;
};
// Soft tile takes a third of the force back that basalt is pressed with.
const known = planned();
const unsure = planned([
  { material: 'basalt', share: 0.9 },
  { material: 'terracotta', share: 0.1 },
]);
const harder = known.headline.force.feedForceN / unsure.headline.force.feedForceN;

const crackCaseOf = ({ crackCases: [one] }: PlanContext): CrackCase => {
  if (!one) throw new Error('A hole has a cut.');
  return one;
};
/** As the plan says it of `crackCase`, a case of the unsure hole. */
function judged(crackCase: CrackCase): CrackOdds {
  const [cut] = cutsOf(unsure);
  if (!cut) throw new Error('A hole has a cut.');
  const { layers, exit, operation, ends } = cut;
  return crackOf(crackCase, {
    layers,
    exit,
    lengthMm: operation.toMm - operation.fromMm,
    opensFace: ends === 'face',
  });
}

it('is what not being sure makes of it, where that is worse', () => {
  expect(harder).toBeCloseTo(1.5, 1);
  const own = planCrack(crackCaseOf(unsure));
  expect(own.total).toBeGreaterThan(planCrack(crackCaseOf(known)).total);
  expect(judged(crackCaseOf(unsure))).toEqual(own);
  expect(unsure.crack.total).toBeCloseTo(own.total, 12);
});

it('is never safer than the same hole in what it is planned as: its force, heat and exit', () => {
  // Beside an edge the force decides.
  const near = { clearMm: 0.4 };
  const sure = planCrack({ ...crackCaseOf(known), ...near });
  const own = planCrack({ ...crackCaseOf(unsure), ...near });
  expect(sure.total).toBeGreaterThan(own.total);
  const { total, byStress, byHand } = judged({ ...crackCaseOf(unsure), ...near });
  // As near as the two plates were solved.
  expect(total / sure.total).toBeCloseTo(1, 7);
  expect(byStress / sure.byStress).toBeCloseTo(1, 7);
  expect(byHand).toBe(own.byHand);
});

it('bends more the harder it is pressed, by what the drill adds and not by what lies there', () => {
  const bent = (crackCase: CrackCase, stressMpa: number): CrackCase => {
    const { bending } = crackCase;
    if (bending.kind !== 'bent') throw new Error(bending.kind);
    return { ...crackCase, bending: { ...bending, atRestMpa: 4, stressMpa } };
  };
  const sure = planCrack(bent(crackCaseOf(known), 4 + 12 * harder));
  expect(judged(bent(crackCaseOf(unsure), 4 + 12)).total / sure.total).toBeCloseTo(1, 7);
  const unbent = { bending: { kind: 'declined', why: 'later' }, clearMm: 0.4 } as const;
  const flat = planCrack({ ...crackCaseOf(known), ...unbent });
  expect(judged({ ...crackCaseOf(unsure), ...unbent }).total / flat.total).toBeCloseTo(1, 7);
});

it('leaves a cut that opens no face without an exit force', () => {
  const blind = { clearMm: 0.4, exitForceN: 0, easedAtMm: null };
  const sure = planCrack({ ...crackCaseOf(known), ...blind });
  expect(judged({ ...crackCaseOf(unsure), ...blind }).total / sure.total).toBeCloseTo(1, 7);
});

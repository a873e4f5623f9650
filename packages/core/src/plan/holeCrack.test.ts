import { easedBefore } from '../physics/cutting/stages';
import { rememberingBend, type Bend } from '../physics/plate/bender';
import { caseWith, wallOf, type JobParts } from '../setup/jobFixtures';
import type { Possibility } from '../documents/piece';
import type { CrackOdds } from '../physics/strength/crackOdds';
import { crackOf } from './holeCrack';
import { planCrack, type CrackCase } from './planCrack';
import { cutsOf, type PlanContext } from './planContext';
import { contextIn } from './planFixtures';

const bend = rememberingBend();
const OUTLINE = { kind: 'rectangle', widthMm: 400, heightMm: 300 } as const;
const planned = (couldBe: Possibility[] = [], exit?: 'hold'): PlanContext => {
  const piece = { form: 'sheet', material: 'basalt', thicknessMm: 10, outline: OUTLINE } as const;
  return contextIn(
    caseWith({ piece: { ...piece, couldBe }, ...(exit ? { setup: { exit } } : {}) }),
    bend,
  );
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
function judged(crackCase: CrackCase, of: PlanContext = unsure): CrackOdds {
  const [cut] = cutsOf(of);
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

describe('all cuts of a hole together', () => {
  const worked = (parts: JobParts, by: Bend = bend): PlanContext => {
    return contextIn(caseWith(parts), by);
  };
  const cups = [12, 25].map((diameterMm) => ({
    id: `cup${diameterMm}`,
    name: `Cup ${diameterMm}`,
    family: 'plated-cup-saw' as const,
    diameterMm,
  }));
  const STEPPED: JobParts = {
    // Nobody has tested how it was treated.
    piece: { thicknessMm: 8, glassTreatment: 'unknown' },
    setup: { bits: ['cup12', 'cup25'], support: { kind: 'nothing', edgesHeld: 'four' } },
    bits: cups,
  };

  it('crack where any of them does: 1 − Π(1 − P), the treatment asked once', () => {
    const { crack, crackCases } = worked(STEPPED);
    const each = crackCases.map(planCrack);
    expect(each).toHaveLength(2);
    const any = (of: (one: CrackOdds) => number): number =>
      1 - each.reduce((kept, one) => kept * (1 - of(one)), 1);
    const { byStress, byHand, byTreatment, total } = crack;
    expect(byStress).toBeCloseTo(
      any((one) => one.byStress),
      12,
    );
    expect(byHand).toBeCloseTo(
      any((one) => one.byHand),
      12,
    );
    expect(byTreatment).toBeGreaterThan(0);
    expect(byTreatment).toBe(each[0]?.byTreatment);
    expect(total).toBeCloseTo(1 - (1 - byStress) * (1 - byHand) * (1 - byTreatment), 12);
    // The wider rim strains it more; its stress is the hole's.
    const strain = ({ stressMpa, limitMpa }: CrackOdds): number => stressMpa / limitMpa;
    expect(strain(crack)).toBe(Math.max(...each.map(strain)));
    expect(Math.min(...each.map(strain))).toBeLessThan(strain(crack));
  });

  it('are handled and broken through once, in the last of them', () => {
    const { crackCases, crackCase } = worked(STEPPED);
    expect(crackCases.map(({ endsHole }) => endsHole)).toEqual([false, true]);
    expect(crackCase.endsHole).toBe(true);
    for (const [index, cut] of cutsOf(worked(STEPPED)).entries()) {
      const ligamentMm = cut.exit?.ligamentMm ?? NaN;
      expect(crackCases[index]?.easedAtMm).toBe(Math.min(easedBefore(ligamentMm), 8));
      expect(crackCases[index]?.exitForceN).toBe(cut.exit?.exitForceN);
    }
    const both = worked({ ...STEPPED, setup: { sides: 'two' }, bits: cups.slice(1) });
    expect(both.crackCases.map(({ exitForceN }) => exitForceN)).toEqual([0, 0]);
  });

  it('are bent once where they press alike, and not at all what is no plate', () => {
    const counted = (parts: JobParts): number => {
      let count = 0;
      worked(parts, (scene) => {
        count++;
        return bend(scene);
      });
      return count;
    };
    expect(counted({ ...STEPPED, setup: { sides: 'two' }, bits: cups.slice(1) })).toBe(1);
    expect(counted(STEPPED)).toBe(2);
    const wall = {
      piece: wallOf(['concrete', 100]),
      setup: { water: { kind: 'bottle' } },
    } as const;
    expect(counted({ ...wall, bits: cups.slice(1) })).toBe(0);
  });
});

it('breaks through with the force it would have if it were known', () => {
  const held = (couldBe: Possibility[] = []): PlanContext => planned(couldBe, 'hold');
  const sureCase = { ...crackCaseOf(held()), clearMm: 0.4 };
  const unsureContext = held([
    { material: 'basalt', share: 0.9 },
    { material: 'terracotta', share: 0.1 },
  ]);
  const unsureCase = { ...crackCaseOf(unsureContext), clearMm: 0.4 };
  expect(sureCase.exitForceN).toBeGreaterThan(unsureCase.exitForceN);
  const { total } = judged(unsureCase, unsureContext);
  expect(total / planCrack(sureCase).total).toBeCloseTo(1, 7);
});

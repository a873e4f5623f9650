import { thermalStress } from '../physics/heat/thermalStress';
import type { Material } from '../data/materials/material';
import type { Piece } from '../documents/piece';
import { wobbleOf } from '../physics/cutting/wobble';
import { bearableStress } from '../physics/strength/crackOdds';
import { dropShare } from '../physics/strength/handlingHazard';
import {
  grooveStress,
  rimLengthShare,
  shellStress,
  webStress,
} from '../physics/strength/stressSites';
import { wallOf, type JobParts } from '../setup/jobFixtures';
import {
  clearOf,
  handlingCase,
  planCrack,
  stressSites,
  weakness,
  type CrackCase,
} from './planCrack';
import { coreBit, workedOut } from './planFixtures';

/** The crack of a hole's only cut, not bent. */
function caseOf(parts: JobParts = {}): CrackCase {
  return workedOut(parts).crackCase;
}
const PANE = caseOf();
const { material } = PANE.cut;
const siteOf = (kind: 'rim' | 'web' | 'groove', one: CrackCase) =>
  stressSites(one).find((site) => site.kind === kind);

it('is handled as it is held, with the bit’s own wobble and what is still pressed at the end', () => {
  const bent = caseOf({
    bits: [
      {
        id: 'cup25',
        name: 'Cup',
        family: 'plated-cup-saw',
        diameterMm: 25,
        rimWidthMm: 1,
        runOutMm: 0.4,
      },
    ],
  });
  const { finishing, hold } = bent.setup;
  const wobbleMm = wobbleOf(finishing.bit, hold);
  expect(wobbleMm).toBeGreaterThan(wobbleOf(PANE.setup.finishing.bit, hold));
  expect(handlingCase({ ...bent, exitForceN: 10 })).toMatchObject({
    hold,
    wobbleMm,
    // A wobble of 1 mm is felt as twice the force.
    dropShare: dropShare(hold, 10 * (1 + wobbleMm), 6),
    masonry: false,
    unsure: false,
    damage: 'none',
    assembled: false,
    sheetThicknessMm: 6,
  });
  expect(handlingCase(caseOf({ piece: { assembled: true } })).assembled).toBe(true);
  expect(handlingCase({ ...PANE, possible: [{ material, share: 1 }] }).unsure).toBe(true);
  const wall = caseOf({
    piece: wallOf(['concrete', 150]),
    setup: { bit: 'core' },
    bits: [coreBit(25)],
  });
  expect(handlingCase(wall)).toMatchObject({ masonry: true, sheetThicknessMm: null });
  expect(stressSites(wall)).toEqual([]);
});

it('bears what its edge bears, wet or dry, less where it may be something weaker', () => {
  const of = (one: CrackCase): number => planCrack(one).bearableMpa;
  expect(of(PANE)).toBeCloseTo(bearableStress(material, true), 12);
  const dry = { ...PANE, cut: { ...PANE.cut, dry: true } };
  expect(of(dry)).toBeCloseTo(bearableStress(material, false), 12);
  expect(of(dry)).not.toBeCloseTo(of(PANE), 3);
  const cracked: Piece = { ...PANE.piece, damage: 'crack' };
  expect(of({ ...PANE, piece: cracked })).toBeCloseTo(bearableStress(material, true, 'crack'), 12);
  // Half as strong with three tenths, a quarter with two: 0.5^0.3 · 0.25^0.2.
  const weaker = (times: number): Material => ({
    ...material,
    id: `weaker-${times}`,
    edgeStrengthMpa: material.edgeStrengthMpa * times,
  });
  const possible = [
    { material, share: 0.5 },
    { material: weaker(0.5), share: 0.3 },
    { material: weaker(0.25), share: 0.2 },
  ];
  expect(of({ ...PANE, possible }) / of(PANE)).toBeCloseTo(0.5 ** 0.3 * 0.25 ** 0.2, 12);
  expect(weakness(dry.cut, weaker(0.5)).strengthFactor).toBeCloseTo(
    bearableStress(weaker(0.5), false) / bearableStress(material, false),
    12,
  );
});

it('is strained by its heat as αE·β·μ is to that of what it is planned as', () => {
  const rougher = { ...material, id: 'rougher', friction: material.friction * 2 };
  expect(weakness(PANE.cut, rougher).heatFactor).toBeCloseTo(2, 12);
  const cold = { ...PANE.cut, material: { ...material, heatShare: 0 } };
  expect(weakness(cold, rougher).heatFactor).toBe(1);
});

it('stretches the rim by heat, by the plate and, in a round wall, by pressing it in', () => {
  const bending = { kind: 'bent', stressMpa: 5, atRestMpa: 2 } as CrackCase['bending'];
  const plate = { ...PANE, thermalStressMpa: 3, bending };
  expect(siteOf('rim', plate)).toEqual({
    kind: 'rim',
    thermalMpa: 3,
    pressedMpa: 3,
    atRestMpa: 2,
    lengthShare: rimLengthShare(25),
  });
  const outline = { kind: 'cylinder', outerDiameterMm: 90, heightMm: 200 } as const;
  const bottle = (form: Piece['form']): CrackCase => ({
    ...PANE,
    piece: { ...PANE.piece, form, outline },
    bending,
  });
  const { force, contact } = PANE.cut;
  const wall = { radiusMm: 45, thicknessMm: 6, poisson: material.poisson };
  expect(siteOf('rim', bottle('vessel'))?.pressedMpa).toBeCloseTo(
    3 + shellStress(force.feedForceN, wall, contact.meanRadiusMm),
    9,
  );
  // A rod is no shell.
  expect(siteOf('rim', bottle('block'))?.pressedMpa).toBe(3);
});

it('stretches the web of what is flat where an edge is near, and what is left under the groove', () => {
  const { feedForceN } = PANE.cut.force;
  const near = { ...PANE, clearMm: 4 };
  expect(siteOf('web', near)).toMatchObject({
    thermalMpa: 0,
    pressedMpa: webStress(feedForceN, 25, 4, 6),
  });
  for (const none of [null, 25]) expect(siteOf('web', { ...PANE, clearMm: none })).toBeUndefined();
  const block = { ...near, piece: { ...near.piece, form: 'block' as const } };
  expect(siteOf('web', block)).toBeUndefined();
  const { bit, contact } = PANE.cut;
  expect(siteOf('groove', { ...PANE, easedAtMm: 0.5 })?.pressedMpa).toBe(
    grooveStress(feedForceN, { ...bit, ...contact }, 0.5),
  );
  for (const none of [null, 0])
    expect(siteOf('groove', { ...PANE, easedAtMm: none })).toBeUndefined();
});

describe('what is clear of the rim', () => {
  const outline = { kind: 'rectangle', widthMm: 400, heightMm: 300 } as const;
  const at = { xMm: 200, yMm: 100 };
  const sheet = { form: 'sheet', outline } as const;
  const near = (kind: string) =>
    ({
      id: kind,
      kind,
      shape: { kind: 'circle', xMm: 250, yMm: 100, diameterMm: 30 },
    }) as NonNullable<Piece['keepOff']>[number];

  it('is to the edge, or to a hole, a cut-out or a crack that is nearer', () => {
    expect(clearOf(sheet, at, 20)).toBe(90);
    for (const kind of ['hole', 'cut-out', 'crack'])
      expect(clearOf({ ...sheet, keepOff: [near(kind)] }, at, 20)).toBeCloseTo(50 - 15 - 10, 9);
    // What only keeps off is no opening.
    expect(clearOf({ ...sheet, keepOff: [near('pipe')] }, at, 20)).toBe(90);
    expect(clearOf({ ...sheet, keepOff: [near('hole')] }, { xMm: 200, yMm: 15 }, 20)).toBe(5);
    expect(clearOf({ ...sheet, keepOff: [near('hole')] }, { xMm: 245, yMm: 100 }, 20)).toBe(0);
  });

  it('is not known on what is round, or in a wall', () => {
    const cylinder = { kind: 'cylinder', outerDiameterMm: 90, heightMm: 200 } as const;
    expect(clearOf({ form: 'vessel', outline: cylinder }, at, 20)).toBeNull();
    expect(clearOf({ form: 'wall', outline }, at, 20)).toBeNull();
    expect(clearOf({ form: 'sheet', outline: { kind: 'circle', diameterMm: 400 } }, at, 20)).toBe(
      200 - 100 - 10,
    );
  });
});

it('stretches the groove’s floor as well, while something is left under it', () => {
  const { crackCase } = workedOut({});
  const kinds = (easedAtMm: number | null) =>
    stressSites({ ...crackCase, easedAtMm }).map(({ kind }) => kind);
  expect(kinds(null)).not.toContain('groove');
  expect(kinds(0)).not.toContain('groove');
  expect(kinds(0.5)).toContain('groove');
  expect(crackCase.easedAtMm).toBeGreaterThan(0);
});

it('is weaker and hotter by what else it may be, never the other way', () => {
  const { crackCase, headline } = workedOut({ piece: { material: 'marble', form: 'slab' } });
  const strain = (material: Material) =>
    thermalStress(material, 1) * material.heatShare * material.friction;
  const other = {
    ...headline.material,
    id: 'hotter',
    heatShare: headline.material.heatShare * 2,
  };
  expect(weakness(headline, other).heatFactor).toBeCloseTo(
    strain(other) / strain(headline.material),
    12,
  );
  const cooler = { ...other, heatShare: headline.material.heatShare / 2, edgeStrengthMpa: 1e4 };
  expect(weakness(headline, cooler)).toEqual({ strengthFactor: 1, heatFactor: 1 });
  const weaker = { ...headline.material, edgeStrengthMpa: headline.material.edgeStrengthMpa / 2 };
  expect(weakness(headline, weaker).strengthFactor).toBeCloseTo(0.5, 9);
  const hot = { ...crackCase, thermalStressMpa: 4 };
  const known = planCrack({ ...hot, possible: [{ material: headline.material, share: 1 }] });
  const doubled = planCrack({ ...hot, possible: [{ material: other, share: 1 }] });
  const asHot = planCrack({
    ...hot,
    thermalStressMpa: 8,
    possible: [{ material: headline.material, share: 1 }],
  });
  expect(doubled.byStress).toBeCloseTo(asHot.byStress, 12);
  expect(doubled.byStress).toBeGreaterThan(known.byStress);
});

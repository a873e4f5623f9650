import { MATERIALS } from '../../data/materials/materials';
import type { Piece } from '../../documents/piece';
import type { Hole } from '../../documents/hole';
import { exitOffset, twoSidedMismatch } from '../aim';
import { readFields, type Fields } from './field';
import { isMissing, type FitNumbers, type FitScene, type SizingFault } from './fit';
import { orificeDiameter, orificeFlow } from './orifice';
import { planPurpose } from './plannedPurpose';
import { PURPOSES, sceneOf, sizeFor, type PurposeKind } from './purposes';

const SCENE: FitScene = { thicknessMm: 100, pieceMassKg: null };

function numbers(kind: PurposeKind, given: object, scene = SCENE): FitNumbers {
  const sizing = sizeFor({ kind, ...given }, scene);
  if (sizing?.kind !== 'sized') throw new Error(JSON.stringify(sizing));
  return sizing.numbers;
}
/** The field that clashes; null where nothing does. */
function clashing(kind: PurposeKind, given: object, scene = SCENE): string | null {
  const sizing = sizeFor({ kind, ...given }, scene);
  if (sizing?.kind !== 'faulty') return null;
  return sizing.faults.map((one) => (one.kind === 'clash' ? one.field : one.name)).join(' ');
}

describe('pipe', () => {
  const pipe = { outerDiameterMm: 40, clearanceMm: 2, wallThicknessMm: 300 };
  it('runs from pipe and a little room to twice the room and two more', () => {
    expect(numbers('pipe', pipe).diameter).toEqual({ targetMm: 44, leastMm: 41, mostMm: 50 });
    expect(numbers('pipe', { ...pipe, clearanceMm: 0.5 }).diameter.leastMm).toBe(40.5);
    expect(numbers('pipe', pipe)).toMatchObject({ coverMm: null, toleranceMm: 2 });
    expect(numbers('pipe', pipe)).not.toHaveProperty('fall');
  });
  it('drilled level needs the drop beside, drilled at the fall carries it', () => {
    const falling = { ...pipe, fallOneIn: 50 };
    expect(numbers('pipe', { ...falling, drilled: 'level' }).diameter).toEqual({
      targetMm: 50,
      leastMm: 47,
      mostMm: 56,
    });
    expect(numbers('pipe', { ...falling, lowSide: 'near' }).fall).toEqual({
      oneIn: 50,
      lowSide: 'near',
    });
    // A drop of exactly the pipe still goes, a hair more fouls.
    expect(clashing('pipe', { ...pipe, fallOneIn: 7.5, drilled: 'level' })).toBeNull();
    expect(clashing('pipe', { ...pipe, fallOneIn: 7.49, drilled: 'level' })).toBe('fallOneIn');
  });
  it('stays under its cover by three a side', () => {
    const covered = (coverDiameterMm: number) => ({ ...pipe, coverDiameterMm });
    expect(clashing('pipe', covered(50))).toBeNull();
    expect(clashing('pipe', covered(49.9))).toBe('coverDiameterMm');
    expect(numbers('pipe', covered(52)).diameter.mostMm).toBe(46);
    expect(numbers('pipe', covered(50)).diameter.mostMm).toBe(44);
    // Lap 3, less an error of 1.
    expect(numbers('pipe', covered(50)).coverMm).toBe(2);
    expect(numbers('pipe', covered(60)).coverMm).toBe(7);
  });
});

describe('tank fitting', () => {
  const fitting = { threadDiameterMm: 20, flangeDiameterMm: 40, sealWidthMm: 5 };
  it('is a millimetre and a half over the thread, within one and two and the seal', () => {
    expect(numbers('tank-fitting', fitting)).toMatchObject({
      diameter: { targetMm: 21.5, leastMm: 21, mostMm: 22 },
      // (40 − 21.5)/2, less the shift of 0.75 and the seal.
      coverMm: 3.5,
    });
    expect(numbers('tank-fitting', { ...fitting, flangeDiameterMm: 31.5 }).diameter.mostMm).toBe(
      21.5,
    );
    expect(
      numbers('tank-fitting', { ...fitting, flangeDiameterMm: 31.2 }).diameter.targetMm,
    ).toBeCloseTo(21.2, 9);
  });
  it('takes the middle of what its maker says, of either end alone too', () => {
    const maker = (more: object) => numbers('tank-fitting', { ...fitting, ...more }).diameter;
    expect(maker({ makerLeastMm: 21, makerMostMm: 24 })).toEqual({
      targetMm: 22.5,
      leastMm: 21,
      mostMm: 24,
    });
    expect(maker({ makerLeastMm: 21.8 }).targetMm).toBeCloseTo(21.9, 9);
    expect(maker({ makerMostMm: 24 }).targetMm).toBe(22.5);
    expect(clashing('tank-fitting', { ...fitting, makerLeastMm: 22, makerMostMm: 22 })).toBeNull();
    expect(clashing('tank-fitting', { ...fitting, makerLeastMm: 23, makerMostMm: 22 })).toBe(
      'makerMostMm',
    );
  });
  it('names what cannot be', () => {
    expect(clashing('tank-fitting', { ...fitting, flangeDiameterMm: 20 })).toBe('flangeDiameterMm');
    expect(clashing('tank-fitting', { ...fitting, makerLeastMm: 20 })).toBe('makerLeastMm');
    expect(clashing('tank-fitting', { ...fitting, makerLeastMm: 20.1 })).toBeNull();
    // Exactly what the thread needs is left beside the seal.
    expect(clashing('tank-fitting', { ...fitting, flangeDiameterMm: 31 })).toBeNull();
    expect(clashing('tank-fitting', { ...fitting, flangeDiameterMm: 30.9 })).toBe(
      'flangeDiameterMm',
    );
  });
});

describe('wall plug', () => {
  const plug = { plugDiameterMm: 8, plugLengthMm: 40, tileThicknessMm: 9, adhesiveMm: 5 };
  it('goes below tile, adhesive and plug by dust and screw tip', () => {
    expect(numbers('wall-plug', plug)).toEqual({
      diameter: { targetMm: 8.75, leastMm: 8.5, mostMm: 9 },
      depth: { kind: 'blind', depthMm: 61.5 },
      behindMm: 8,
      coverMm: null,
      toleranceMm: null,
    });
    expect(numbers('wall-plug', plug, { ...SCENE, thicknessMm: 61.5 }).depth).toEqual({
      kind: 'through',
    });
    expect(numbers('wall-plug', { ...plug, pairSpacingMm: 60 }).toleranceMm).toBe(1);
  });
  it('hides chips under its rose less half the room, and keeps two holes apart', () => {
    expect(numbers('wall-plug', { ...plug, coverDiameterMm: 30 }).coverMm).toBeCloseTo(10.25, 9);
    expect(numbers('wall-plug', { ...plug, coverDiameterMm: 9 }).coverMm).toBe(0);
    expect(clashing('wall-plug', { ...plug, coverDiameterMm: 8.75 })).toBe('coverDiameterMm');
    expect(clashing('wall-plug', { ...plug, pairSpacingMm: 17.5 })).toBeNull();
    expect(clashing('wall-plug', { ...plug, pairSpacingMm: 17.4 })).toBe('pairSpacingMm');
  });
});

describe('post socket', () => {
  const post = {
    section: 'round',
    postWidthMm: 40,
    groutGapMm: 10,
    embedmentMm: 150,
    slabThicknessMm: 400,
  };
  it('is the post with grout all round, deeper by 15 mm or 15 % of itself', () => {
    expect(numbers('post-socket', post)).toEqual({
      diameter: { targetMm: 60, leastMm: 52, mostMm: 80 },
      depth: { kind: 'blind', depthMm: 165 },
      coverMm: null,
      toleranceMm: 5,
      roughensWall: true,
    });
    const wide = numbers('post-socket', { ...post, postWidthMm: 140, groutGapMm: 30 });
    expect(wide.diameter).toEqual({ targetMm: 200, leastMm: 152, mostMm: 260 });
    expect(wide.depth).toEqual({ kind: 'blind', depthMm: 180 });
    expect(numbers('post-socket', { ...post, section: 'square' }).diameter.targetMm).toBeCloseTo(
      40 * Math.SQRT2 + 20,
      9,
    );
  });
  it('goes through where less than 50 mm would be left, and needs six of grout', () => {
    const slab = (slabThicknessMm: number) =>
      numbers('post-socket', { ...post, slabThicknessMm }).depth.kind;
    expect([slab(215), slab(214.9)]).toEqual(['blind', 'through']);
    expect(clashing('post-socket', { ...post, slabThicknessMm: 150 })).toBeNull();
    expect(clashing('post-socket', { ...post, slabThicknessMm: 149 })).toBe('embedmentMm');
    expect(clashing('post-socket', { ...post, groutGapMm: 6 })).toBeNull();
    expect(clashing('post-socket', { ...post, groutGapMm: 5.9 })).toBe('groutGapMm');
  });
});

describe('shaft', () => {
  it('runs in a bush wider than it, asked for where it is missing', () => {
    const bush = { shaftDiameterMm: 10, fit: 'bush' };
    expect(clashing('shaft', bush)).toBe('bushDiameterMm');
    expect(clashing('shaft', { ...bush, bushDiameterMm: 10 })).toBe('bushDiameterMm');
    const held = numbers('shaft', { ...bush, bushDiameterMm: 14 });
    expect(held.diameter.leastMm).toBeGreaterThan(14);
    expect(held.diameter.targetMm).toBeGreaterThan(held.diameter.leastMm);
    expect(held.diameter.mostMm).toBeGreaterThan(held.diameter.targetMm);
    expect(held).toMatchObject({ coverMm: null, toleranceMm: 0.5 });
  });
  it('is covered by its washer less half the room', () => {
    const bare = numbers('shaft', { shaftDiameterMm: 10 }).diameter;
    const flange = bare.targetMm + 6;
    const { coverMm } = numbers('shaft', { shaftDiameterMm: 10, flangeDiameterMm: flange });
    expect(coverMm).toBeCloseTo(3 - (bare.targetMm - 10) / 2, 9);
    expect(clashing('shaft', { shaftDiameterMm: 10, flangeDiameterMm: bare.targetMm })).toBe(
      'flangeDiameterMm',
    );
    expect(
      numbers('shaft', { shaftDiameterMm: 10, flangeDiameterMm: bare.targetMm + 0.01 }).coverMm,
    ).toBe(0);
  });
});

describe('bead', () => {
  const bead = { strandMm: 1, strands: 1, aim: 'press' };
  it('is met from both ends beyond eight diameters, and drifts by how it is steered', () => {
    const easy = numbers('bead-bore', { ...bead, beadLengthMm: 5 }).diameter.targetMm;
    const one = numbers('bead-bore', { ...bead, beadLengthMm: 8 * easy });
    expect(one.toleranceMm).toBeCloseTo(exitOffset(8 * easy, 'press'), 12);
    expect(one.diameter).toMatchObject({ targetMm: easy, leastMm: 1.1 });
    expect(one.diameter.mostMm).toBeCloseTo(1.4 * easy, 12);
    const two = numbers('bead-bore', { ...bead, beadLengthMm: 8.01 * easy });
    const drift = twoSidedMismatch(8.01 * easy, 'press');
    expect(two.toleranceMm).toBeCloseTo(drift, 12);
    expect(two.diameter.targetMm).toBeCloseTo(Math.max(easy, 1 + drift), 12);
    expect(two.diameter.leastMm).toBeCloseTo(Math.max(1.1, 1 + drift / 2), 12);
  });
  it('is no wider than twice its length', () => {
    const easy = numbers('bead-bore', { ...bead, beadLengthMm: 5 }).diameter.targetMm;
    expect(clashing('bead-bore', { ...bead, beadLengthMm: easy / 2 })).toBeNull();
    expect(clashing('bead-bore', { ...bead, beadLengthMm: easy / 2.01 })).toBe('beadLengthMm');
  });
});

describe('drains', () => {
  it('hold back grains at 0.7 of the smallest, no wider than is wished nor than half the pot', () => {
    const pot = { grainMm: 10, potDiameterMm: 200, maxHoleMm: 12, drainSharePercent: 2 };
    expect(numbers('drainage', pot).diameter).toEqual({ targetMm: 7, leastMm: 4.2, mostMm: 7 });
    expect(numbers('drainage', { ...pot, maxHoleMm: 5 }).diameter.targetMm).toBe(5);
    expect(clashing('drainage', { ...pot, potDiameterMm: 14 })).toBe('potDiameterMm');
    expect(clashing('drainage', { ...pot, potDiameterMm: 14.1 })).toBeNull();
  });
  it('pass what is wanted in whole millimetres', () => {
    const drain = { litresPerHour: 600, headMm: 50, holes: 3, runs: 'drowned' };
    const exact = orificeDiameter(200, 50, 1);
    const { diameter } = numbers('drain-flow', drain);
    expect(diameter).toEqual({
      targetMm: Math.ceil(exact),
      leastMm: exact,
      mostMm: 1.5 * Math.ceil(exact),
    });
    expect(orificeFlow(diameter.targetMm, 50, 1)).toBeGreaterThanOrEqual(200);
    // Exactly a whole millimetre is not rounded up.
    const whole = orificeFlow(8, 50, 1);
    expect(
      numbers('drain-flow', { ...drain, litresPerHour: whole, holes: 1 }).diameter.targetMm,
    ).toBe(8);
  });
});

it('closes a ring round edge and thickness, with what is left of its reach', () => {
  const ring = { ringInsideMm: 13, wireMm: 2, pieceThicknessMm: 5, edgeDistanceMm: 12 };
  // 5-12-13.
  const { diameter, toleranceMm } = numbers('hanging-ring', ring);
  expect(toleranceMm).toBeCloseTo(0, 9);
  expect(diameter.targetMm - diameter.leastMm).toBeCloseTo(0.3, 12);
  expect(diameter.mostMm - diameter.leastMm).toBeCloseTo(1.5, 12);
  expect(clashing('hanging-ring', { ...ring, ringInsideMm: 12.9 })).toBe('ringInsideMm');
  expect(numbers('hanging-ring', { ...ring, edgeDistanceMm: 4 }).toleranceMm).toBeCloseTo(8, 9);
});

it('leaves cords, anchors, rings and kilns their bounds', () => {
  const cord = numbers('hanging-cord', { strandMm: 2, strands: 1 }).diameter;
  expect(cord.leastMm).toBeCloseTo(2.2, 12);
  expect(cord.mostMm).toBeCloseTo(3.6, 12);
  const anchor = { makerHoleMm: 12, makerDepthMm: 60, pieceThicknessMm: 60 };
  expect(clashing('anchor', anchor)).toBe('makerDepthMm');
  expect(numbers('anchor', { ...anchor, pieceThicknessMm: 60.1 })).toMatchObject({
    diameter: { targetMm: 12, leastMm: 12, mostMm: 12.5 },
    depth: { kind: 'blind', depthMm: 60 },
  });
  const ring = { outerDiameterMm: 40, ringDepthMm: 10, pieceThicknessMm: 10 };
  expect(clashing('blind-ring', ring)).toBe('ringDepthMm');
  expect(clashing('blind-ring', { ...ring, ringDepthMm: 9.9 })).toBeNull();
  const full = numbers('kiln-fired', { firing: 'full', wantedDiameterMm: 6 }).diameter;
  expect([full.targetMm, full.leastMm, full.mostMm]).toEqual([6, 6, 10]);
  const contour = numbers('kiln-fired', { firing: 'contour', wantedDiameterMm: 6 }).diameter;
  expect(contour.targetMm).toBeCloseTo(6 / 0.825, 12);
  expect(contour.leastMm).toBeCloseTo(6 / 0.9, 12);
  expect(contour.mostMm).toBeCloseTo(6 / 0.75, 12);
});

describe('fields', () => {
  const fields = {
    long: { kind: 'length', label: 'L', max: 10 },
    from0: { kind: 'length', label: 'F', usual: 1, min: 0, max: 10 },
    asPiece: { kind: 'length', label: 'P', usual: 'piece-thickness', max: 50 },
    maybe: { kind: 'length', label: 'M', optional: true, max: 10 },
    count: { kind: 'number', label: 'C', unit: '', usual: 2, whole: true, atLeast: 1, max: 5 },
    over: { kind: 'number', label: 'O', unit: '', usual: 2, above: 1, max: 5 },
    way: { kind: 'choice', label: 'W', options: { a: 'A', b: 'B' }, usual: 'a' },
  } as const satisfies Fields;
  const read = (given: object, thicknessMm = 20) =>
    readFields(fields, { long: 5, ...given }, thicknessMm);
  const faulty = (given: object, thicknessMm = 20): string =>
    read(given, thicknessMm)
      .faults.map(({ name }) => name)
      .join(' ');

  it('take what is usual where nothing is said', () => {
    expect(read({}).values).toEqual({
      long: 5,
      from0: 1,
      asPiece: 20,
      maybe: undefined,
      count: 2,
      over: 2,
      way: 'a',
    });
    expect(read({ long: '1 1/2 in' }).faults.map(({ name }) => name)).toEqual(['long']);
    expect(read({ long: '1/4 in' }).values.long).toBeCloseTo(6.35, 9);
    // Without a piece its thickness must be asked for.
    expect(faulty({}, Infinity)).toBe('asPiece');
  });

  it('refuse what lies beyond them, at their very bounds', () => {
    expect([
      faulty({ long: 10 }),
      faulty({ long: 10.01 }),
      faulty({ long: 0 }),
      faulty({ long: -1 }),
    ]).toEqual(['', 'long', 'long', 'long']);
    expect([faulty({ from0: 0 }), faulty({ from0: -0.1 })]).toEqual(['', 'from0']);
    expect([
      faulty({ count: 1 }),
      faulty({ count: 0 }),
      faulty({ count: 1.5 }),
      faulty({ count: 6 }),
    ]).toEqual(['', 'count', 'count', 'count']);
    expect([faulty({ over: 1 }), faulty({ over: 1.1 })]).toEqual(['over', '']);
    expect([
      faulty({ way: 'b' }),
      faulty({ way: 'c' }),
      faulty({ way: 3 }),
      faulty({ way: 'toString' }),
    ]).toEqual(['', 'way', 'way', 'way']);
    expect([
      faulty({ long: NaN }),
      faulty({ long: 'wide' }),
      faulty({ count: '2' }),
      faulty({ long: {} }),
    ]).toEqual(['long', 'long', 'count', 'long']);
  });

  it('are missing only where nothing was given', () => {
    const fault = (name: keyof typeof fields, given: unknown): SizingFault => ({
      kind: 'field',
      name,
      field: fields[name],
      given,
    });
    expect([isMissing(fault('long', undefined)), isMissing(fault('long', null))]).toEqual([
      true,
      true,
    ]);
    expect([isMissing(fault('long', 0)), isMissing(fault('way', undefined))]).toEqual([
      false,
      false,
    ]);
    expect(isMissing({ kind: 'clash', field: 'long', says: () => '' })).toBe(false);
  });
});

describe('a hole’s purpose in its plan', () => {
  const piece = {
    form: 'wall',
    thicknessMm: 100,
    outline: { kind: 'rectangle', widthMm: 900, heightMm: 600 },
  } as Piece;
  const planned = (purpose: object | undefined) =>
    planPurpose(piece, (purpose ? { purpose } : {}) as Hole, MATERIALS['clay-brick']);
  it('is its numbers, nothing where it is unknown or not yet said, a clash where it cannot be', () => {
    expect(planned(undefined)).toEqual({ fit: null, purposeClashes: false });
    expect(planned({ kind: 'of-another-version' })).toEqual({ fit: null, purposeClashes: false });
    expect(planned({ kind: 'pipe', outerDiameterMm: 40 }).fit?.diameter.targetMm).toBe(44);
    expect(planned({ kind: 'pipe', outerDiameterMm: 40 }).purposeClashes).toBe(false);
    expect(planned({ kind: 'pipe' })).toEqual({ fit: null, purposeClashes: false });
    expect(planned({ kind: 'pipe', outerDiameterMm: 40, coverDiameterMm: 41 })).toEqual({
      fit: null,
      purposeClashes: true,
    });
  });
  it('knows the piece’s mass where it has one', () => {
    expect(sceneOf(piece, MATERIALS['clay-brick']).pieceMassKg).toBeNull();
    expect(sceneOf({ ...piece, form: 'slab' }, MATERIALS['clay-brick']).pieceMassKg).toBeCloseTo(
      0.9 * 0.6 * 0.1 * MATERIALS['clay-brick'].densityKgPerM3,
      6,
    );
    expect(sceneOf(piece, undefined)).toEqual({ thicknessMm: 100, pieceMassKg: null });
    expect(Object.keys(PURPOSES)).toHaveLength(14);
  });
});

import { fitInWords, sayIn } from '../../words/purposes/fitInWords';
import { INCH_POUND, METRIC } from '../../data/unitSystem';
import type { FitScene } from './fit';
import type { Fit } from '../../documents/fit';
import { orificeFlow } from './orifice';
import { PURPOSE_KINDS, PURPOSES, type PurposeKind } from './purposes';

const scene = (more: Partial<FitScene> = {}): FitScene => ({
  thicknessMm: 10,
  pieceMassKg: null,
  ...more,
});

function fits(kind: PurposeKind, given: object, more: Partial<FitScene> = {}, units = METRIC): Fit {
  const outcome = fitInWords(PURPOSES[kind], given as Record<string, unknown>, scene(more), units);
  if (outcome.kind !== 'fits') throw new Error(outcome.faults.map((one) => one.message).join(' '));
  return outcome.fit;
}

function refused(kind: PurposeKind, given: object, more: Partial<FitScene> = {}): string {
  const outcome = fitInWords(PURPOSES[kind], given as Record<string, unknown>, scene(more));
  return outcome.kind === 'fits' ? 'fits' : outcome.faults.map((one) => one.message).join(' ');
}

const result = (fit: Fit, key: string): number | undefined =>
  fit.results.find((one) => one.key === key)?.value;
const codes = (fit: Fit): string[] => fit.cautions.map((one) => one.code);

describe('pipe', () => {
  it('adds room all round, by what passes', () => {
    expect(fits('pipe', { outerDiameterMm: 40 }).diameter.targetMm).toBeCloseTo(44);
    expect(fits('pipe', { outerDiameterMm: 100, service: 'duct' }).diameter.targetMm).toBeCloseTo(
      110,
    );
    expect(fits('pipe', { outerDiameterMm: 32, clearanceMm: 1 }).diameter.targetMm).toBeCloseTo(34);
  });
  it('drilled at the fall needs no more, level needs the drop besides', () => {
    const wall = { outerDiameterMm: 90, wallThicknessMm: 300, fallOneIn: 50 };
    const sloping = fits('pipe', wall);
    expect(sloping.diameter.targetMm).toBeCloseTo(94);
    expect(sloping.fall).toEqual({ oneIn: 50, lowSide: 'far' });
    expect(result(sloping, 'heightDifferenceMm')).toBeCloseTo(6);
    const level = fits('pipe', { ...wall, drilled: 'level' });
    expect(level.diameter.targetMm).toBeCloseTo(100);
    expect(level.fall).toBeUndefined();
  });
  it('laps a cover over the hole, and hides what is left after its own error', () => {
    const covered = fits('pipe', { outerDiameterMm: 40, coverDiameterMm: 60 });
    expect(result(covered, 'coverLapMm')).toBeCloseTo(8);
    expect(covered.coverMm).toBeCloseTo(7);
  });
  it('names what clashes: a fall so steep that it fouls, a cover too small, room below nothing', () => {
    expect(
      refused('pipe', {
        outerDiameterMm: 40,
        wallThicknessMm: 300,
        fallOneIn: 5,
        drilled: 'level',
      }),
    ).toMatch(/drops 60 mm .* more than the pipe of 40 mm/);
    expect(refused('pipe', { outerDiameterMm: 40, coverDiameterMm: 44 })).toMatch(
      /cover plate of 44 mm does not cover a hole of 44 mm/,
    );
    expect(refused('pipe', { outerDiameterMm: 40, clearanceMm: -2 })).toMatch(
      /Room all round is -2; it must be a length from 0/,
    );
  });
});

describe('tank fitting', () => {
  it('is thread and a millimetre and a half, hiding what the flange leaves', () => {
    const fit = fits('tank-fitting', { threadDiameterMm: 40, flangeDiameterMm: 60 });
    expect(fit.diameter).toEqual({ leastMm: 41, targetMm: 41.5, mostMm: 42 });
    // (60 − 41.5)/2 − (41.5 − 40)/2 − 3 = 9.25 − 0.75 − 3
    expect(fit.coverMm).toBeCloseTo(5.5);
  });
  it('keeps to the maker’s range, and to the seal', () => {
    const maker = { threadDiameterMm: 33, flangeDiameterMm: 55, makerLeastMm: 34, makerMostMm: 38 };
    expect(fits('tank-fitting', maker).diameter.targetMm).toBeCloseTo(36);
    expect(fits('tank-fitting', { ...maker, sealWidthMm: 10 }).diameter).toEqual({
      leastMm: 34,
      targetMm: 34.5,
      mostMm: 35,
    });
  });
  it('says when no chip is hidden, and never goes below nothing', () => {
    const tight = fits('tank-fitting', { threadDiameterMm: 40, flangeDiameterMm: 47.5 });
    expect(tight.coverMm).toBe(0);
    expect(codes(tight)).toContain('no-chip-hidden');
  });
  it('names the flange and the thread that clash', () => {
    expect(refused('tank-fitting', { threadDiameterMm: 40, flangeDiameterMm: 38 })).toMatch(
      /flange of 38 mm is not wider than the thread of 40 mm/,
    );
    expect(refused('tank-fitting', { threadDiameterMm: 40, flangeDiameterMm: 45 })).toMatch(
      /flange of 45 mm .* thread of 40 mm needs 41 mm/,
    );
    expect(
      refused('tank-fitting', {
        threadDiameterMm: 40,
        flangeDiameterMm: 60,
        makerLeastMm: 50,
        makerMostMm: 44,
      }),
    ).toMatch(/from 50 mm to 44 mm/);
  });
});

describe('flow', () => {
  it('follows the orifice relation', () => {
    // 0.6 × π/4 × 0.02² × √(2 × 9.80665 × 0.1) = 2.6399e-4 m³/s
    expect(orificeFlow(20, 100)).toBeCloseTo(950.4, 0);
    const fit = fits('drain-flow', { litresPerHour: 950.4, headMm: 100 });
    expect(fit.diameter.leastMm).toBeCloseTo(20, 2);
    expect(fits('drain-flow', { litresPerHour: 960, headMm: 100 }).diameter.targetMm).toBe(21);
  });
  it('doubles the area for an overflow and shares among holes', () => {
    const one = fits('drain-flow', { litresPerHour: 800, headMm: 50 }).diameter.leastMm;
    expect(
      fits('drain-flow', { litresPerHour: 800, headMm: 50, runs: 'half-full' }).diameter.leastMm /
        one,
    ).toBeCloseTo(Math.SQRT2);
    expect(
      fits('drain-flow', { litresPerHour: 800, headMm: 50, holes: 4 }).diameter.leastMm / one,
    ).toBeCloseTo(0.5);
  });
  it('says that without head nothing flows', () => {
    expect(refused('drain-flow', { litresPerHour: 800, headMm: 0 })).toMatch(
      /is 0; it must be a length above 0/,
    );
    expect(refused('drain-flow', { litresPerHour: 800, headMm: 50, holes: 1.5 })).toMatch(
      /whole number/,
    );
  });
});

describe('drainage', () => {
  it('is seven tenths of the grain, held to a widest', () => {
    const fit = fits('drainage', { grainMm: 8, potDiameterMm: 200 });
    expect(fit.diameter.targetMm).toBeCloseTo(5.6);
    // 1 % of π/4·200² = 314.16 mm² over 24.63 mm² a hole
    expect(result(fit, 'holeCount')).toBe(13);
    expect(fits('drainage', { grainMm: 40, potDiameterMm: 300 }).diameter.targetMm).toBe(12);
  });
  it('keeps water below a side hole', () => {
    const fit = fits('drainage', { grainMm: 8, potDiameterMm: 200, sideHeightMm: 50 });
    expect(result(fit, 'reserveL')).toBeCloseTo(0.628, 3);
  });
  it('refuses holes wider than half the base', () => {
    expect(refused('drainage', { grainMm: 30, potDiameterMm: 20 })).toMatch(
      /12 mm .* base of 20 mm/,
    );
  });
});

describe('tube rivet', () => {
  it('gives hole, tube length and bore', () => {
    const fit = fits('tube-rivet', { tubeDiameterMm: 4 });
    expect(fit.diameter).toMatchObject({ leastMm: 4.05, targetMm: 4.1, mostMm: 4.15 });
    expect(result(fit, 'tubeLengthMm')).toBeCloseTo(12.8);
    expect(result(fit, 'boreMm')).toBeCloseTo(3.4);
    expect(fit.coverMm).toBeCloseTo(1.4 - 0.3 - 0.05);
  });
  it('flares at least a millimetre a side, or as much as is said', () => {
    expect(result(fits('tube-rivet', { tubeDiameterMm: 2 }), 'tubeLengthMm')).toBeCloseTo(12);
    expect(
      result(fits('tube-rivet', { tubeDiameterMm: 2, flareMm: 0.7 }), 'tubeLengthMm'),
    ).toBeCloseTo(11.4);
  });
  it('names a wall that fills the tube', () => {
    expect(refused('tube-rivet', { tubeDiameterMm: 2, tubeWallMm: 1 })).toMatch(
      /wall of 1 mm fills a tube of 2 mm/,
    );
  });
});

describe('ring', () => {
  const ring = { ringInsideMm: 12, wireMm: 1, edgeDistanceMm: 6, pieceThicknessMm: 5 };
  it('turns its wire through the thickness', () => {
    // r 6, t 5: 1 + 6 − √(36 − 6.25) = 1.5456
    const fit = fits('hanging-ring', ring);
    expect(fit.diameter.leastMm).toBeCloseTo(1.5456, 3);
    expect(result(fit, 'leastRingInsideMm')).toBeCloseTo(Math.sqrt(61), 4);
    expect(result(fit, 'farthestEdgeMm')).toBeCloseTo(Math.sqrt(119), 4);
  });
  it('names the ring that cannot close', () => {
    expect(refused('hanging-ring', { ...ring, ringInsideMm: 7 })).toMatch(
      /ring of 7 mm inside cannot close round 6 mm of edge and 5 mm of thickness: it needs 7\.81 mm/,
    );
    expect(refused('hanging-ring', { ...ring, ringInsideMm: 4 })).toMatch(/cannot close/);
  });
  it('weighs the piece and minds a thin edge', () => {
    const fit = fits('hanging-ring', { ...ring, edgeDistanceMm: 3 }, { pieceMassKg: 0.05 });
    expect(result(fit, 'massG')).toBeCloseTo(50);
    expect(codes(fit)).toContain('hole-near-edge');
  });
});

it('cord: three tenths over the smallest circle round the strands', () => {
  expect(fits('hanging-cord', { strandMm: 1, strands: 1 }).diameter.targetMm).toBeCloseTo(1.3);
  expect(fits('hanging-cord', { strandMm: 1, strands: 2 }).diameter.targetMm).toBeCloseTo(2.6);
  expect(fits('hanging-cord', { strandMm: 1, strands: 3 }).diameter.targetMm).toBeCloseTo(2.801, 3);
  expect(fits('hanging-cord', { strandMm: 0.8, strands: 7 }).diameter.targetMm).toBeCloseTo(3.12);
  expect(refused('hanging-cord', { strandMm: 1, strands: 13 })).toMatch(/at most 12/);
});

describe('bead bore', () => {
  it('is met from both ends above eight diameters', () => {
    const short = fits('bead-bore', { strandMm: 1, beadLengthMm: 10 });
    expect(short.diameter.targetMm).toBeCloseTo(1.3);
    expect(result(short, 'aspectRatio')).toBeCloseTo(7.69, 2);
    expect(result(short, 'driftMm')).toBeCloseTo(10 * Math.tan((0.3 * Math.PI) / 180), 4);
    const long = fits('bead-bore', { strandMm: 1, beadLengthMm: 30 });
    // √2 × 15 × tan 0.3° + 0.5
    expect(result(long, 'driftMm')).toBeCloseTo(0.6111, 3);
    expect(long.diameter.targetMm).toBeCloseTo(1.6111, 3);
  });
  it('refuses a bore wider than twice the bead', () => {
    expect(refused('bead-bore', { strandMm: 8, beadLengthMm: 5 })).toMatch(
      /10\.4 mm in a bead 5 mm long/,
    );
  });
});

describe('wall plug', () => {
  const plug = { plugDiameterMm: 8, plugLengthMm: 40, tileThicknessMm: 8, adhesiveMm: 4 };
  it('sets the plug below the tile', () => {
    const fit = fits('wall-plug', plug, { thicknessMm: 215 });
    expect(fit.diameter).toMatchObject({ leastMm: 8.5, targetMm: 8.75, mostMm: 9 });
    expect(result(fit, 'recessMm')).toBeCloseTo(12);
    expect(fit.depth).toEqual({ kind: 'blind', depthMm: 59.5 });
    expect(result(fit, 'screwLengthMm')).toBeCloseTo(57);
  });
  it('goes through where only the tile is the piece', () => {
    expect(fits('wall-plug', plug, { thicknessMm: 8 }).depth).toEqual({ kind: 'through' });
  });
  it('names a rose that is too small and a pair too close', () => {
    expect(refused('wall-plug', { ...plug, coverDiameterMm: 8 })).toMatch(
      /rose of 8 mm .* 8\.75 mm/,
    );
    expect(refused('wall-plug', { ...plug, pairSpacingMm: 12 })).toMatch(/only 12 mm apart/);
  });
});

describe('post socket', () => {
  const post = { postWidthMm: 60, embedmentMm: 100, slabThicknessMm: 200 };
  it('cores post and grout, deep enough and no deeper', () => {
    const fit = fits('post-socket', post);
    expect(fit.diameter.targetMm).toBeCloseTo(80);
    expect(fit.depth).toEqual({ kind: 'blind', depthMm: 115 });
    // π/4·(80² − 60²)·115 × 1.1 = 278 168 mm³
    expect(result(fit, 'groutL')).toBeCloseTo(0.2782, 3);
  });
  it('takes a square post by its diagonal', () => {
    const fit = fits('post-socket', {
      ...post,
      section: 'square',
      postWidthMm: 40,
      postDepthMm: 30,
    });
    expect(fit.diameter.targetMm).toBeCloseTo(70);
    expect(result(fit, 'groutL')).toBeCloseTo(((Math.PI / 4) * 4900 - 1200) * 115 * 1.1e-6, 4);
  });
  it('calls it through when too little is left below', () => {
    const fit = fits('post-socket', { ...post, slabThicknessMm: 150 });
    expect(fit.depth).toEqual({ kind: 'through' });
    expect(codes(fit)).toContain('goes-right-through');
  });
  it('names the slab too thin and the grout too thin', () => {
    expect(refused('post-socket', { ...post, slabThicknessMm: 90 })).toMatch(
      /100 mm in does not fit a slab of 90 mm/,
    );
    expect(refused('post-socket', { ...post, groutGapMm: 4 })).toMatch(
      /gap of 4 mm is under the 6 mm/,
    );
  });
});

it('anchor: the maker’s numbers, and what falls short of them', () => {
  const given = { makerHoleMm: 14, makerDepthMm: 80, makerEdgeMm: 60, edgeMm: 45 };
  const fit = fits('anchor', given, { thicknessMm: 150 });
  expect(fit.diameter).toMatchObject({ leastMm: 14, targetMm: 14, mostMm: 14.5 });
  expect(fit.depth).toEqual({ kind: 'blind', depthMm: 80 });
  expect(codes(fit)).toEqual(['hole-near-edge']);
  expect(refused('anchor', given, { thicknessMm: 70 })).toMatch(
    /80 mm deep does not fit a piece 70 mm thick/,
  );
});

it('ring or dimple: no exit, and something left', () => {
  const fit = fits('blind-ring', { outerDiameterMm: 30, ringDepthMm: 3 });
  expect(fit.depth).toEqual({ kind: 'ring', depthMm: 3 });
  expect(fits('blind-ring', { outerDiameterMm: 30, ringDepthMm: 3, core: 'out' }).depth.kind).toBe(
    'blind',
  );
  expect(codes(fits('blind-ring', { outerDiameterMm: 30, ringDepthMm: 8 }))).toEqual(['thin-left']);
  expect(refused('blind-ring', { outerDiameterMm: 30, ringDepthMm: 12 })).toMatch(
    /12 mm deep goes through a piece 10 mm thick/,
  );
});

it('kiln: larger by what the firing takes, and after it where it may close', () => {
  expect(fits('kiln-fired', { wantedDiameterMm: 8 }).diameter.targetMm).toBeCloseTo(8 / 0.975);
  const contour = fits('kiln-fired', { wantedDiameterMm: 8, firing: 'contour' }).diameter;
  expect(contour.leastMm).toBeCloseTo(8 / 0.9);
  expect(contour.targetMm).toBeCloseTo(8 / 0.825);
  expect(contour.mostMm).toBeCloseTo(8 / 0.75);
  const full = fits('kiln-fired', { wantedDiameterMm: 8, firing: 'full' });
  expect(full.diameter.targetMm).toBe(8);
  expect(codes(full)).toEqual(['closes-in-the-kiln']);
  expect(result(full, 'afterLeastMm')).toBe(0);
});

it('shaft: running, pushed in, or in a bush', () => {
  expect(fits('shaft', { shaftDiameterMm: 20 }).diameter.targetMm).toBeCloseTo(20.4);
  expect(fits('shaft', { shaftDiameterMm: 20, fit: 'push' }).diameter.targetMm).toBeCloseTo(20.1);
  const bush = { shaftDiameterMm: 20, fit: 'bush', bushDiameterMm: 24, flangeDiameterMm: 40 };
  const fit = fits('shaft', bush);
  expect(fit.diameter.targetMm).toBeCloseTo(24.2);
  expect(fit.coverMm).toBeCloseTo((40 - 24.2) / 2 - 0.1);
  expect(refused('shaft', { ...bush, bushDiameterMm: 18 })).toMatch(
    /bush of 18 mm .* shaft of 20 mm/,
  );
  expect(refused('shaft', { ...bush, flangeDiameterMm: 22 })).toMatch(
    /washer of 22 mm .* 24\.2 mm/,
  );
});

/** For each purpose: a sound part, and the field that makes the part bigger. */
const PARTS: Record<PurposeKind, readonly [object, string]> = {
  pipe: [{ outerDiameterMm: 40 }, 'outerDiameterMm'],
  'tank-fitting': [{ threadDiameterMm: 40, flangeDiameterMm: 90 }, 'threadDiameterMm'],
  'drain-flow': [{ litresPerHour: 500, headMm: 100 }, 'litresPerHour'],
  drainage: [{ grainMm: 6, potDiameterMm: 200 }, 'grainMm'],
  'tube-rivet': [{ tubeDiameterMm: 4 }, 'tubeDiameterMm'],
  'hanging-ring': [{ ringInsideMm: 30, wireMm: 1, edgeDistanceMm: 5 }, 'wireMm'],
  'hanging-cord': [{ strandMm: 1 }, 'strandMm'],
  'bead-bore': [{ strandMm: 1 }, 'strandMm'],
  'wall-plug': [{ plugDiameterMm: 8, plugLengthMm: 40 }, 'plugDiameterMm'],
  'post-socket': [{ postWidthMm: 48, embedmentMm: 100, slabThicknessMm: 400 }, 'postWidthMm'],
  anchor: [{ makerHoleMm: 12, makerDepthMm: 5 }, 'makerHoleMm'],
  'blind-ring': [{ outerDiameterMm: 30, ringDepthMm: 3 }, 'outerDiameterMm'],
  'kiln-fired': [{ wantedDiameterMm: 8 }, 'wantedDiameterMm'],
  shaft: [{ shaftDiameterMm: 20 }, 'shaftDiameterMm'],
};

describe.each(PURPOSE_KINDS)('%s', (kind) => {
  const [part, size] = PARTS[kind];
  const given = part as Record<string, number>;

  it('grows with the part, inside its own range', () => {
    let last = 0;
    for (const factor of [1, 1.1, 1.25, 1.5]) {
      const { diameter, coverMm } = fits(kind, { ...given, [size]: (given[size] ?? 0) * factor });
      expect(diameter.targetMm).toBeGreaterThanOrEqual(last);
      expect(diameter.leastMm).toBeLessThanOrEqual(diameter.targetMm + 1e-9);
      expect(diameter.mostMm).toBeGreaterThanOrEqual(diameter.targetMm - 1e-9);
      if (coverMm !== null) expect(coverMm).toBeGreaterThanOrEqual(0);
      last = diameter.targetMm;
    }
  });

  it('takes inches as well as millimetres', () => {
    const inches = Object.fromEntries(
      Object.entries(given).map(([name, value]) => [
        name,
        PURPOSES[kind].fields[name]?.kind === 'length' ? `${value / 25.4} in` : value,
      ]),
    );
    const [a, b] = [fits(kind, given), fits(kind, inches, {}, INCH_POUND)];
    expect(b.diameter.targetMm).toBeCloseTo(a.diameter.targetMm, 6);
    expect(b.reason.text).not.toMatch(/ mm(?!\))/);
  });

  it('asks for what is missing and names what will not do', () => {
    const outcome = fitInWords(PURPOSES[kind], {}, scene());
    expect(outcome.kind).toBe('faulty');
    if (outcome.kind === 'faulty') expect(outcome.faults.every((one) => one.missing)).toBe(true);
    for (const wrong of [-1, 0, NaN, Infinity, 1e9, 'wide', null, {}]) {
      expect(refused(kind, { ...given, [size]: wrong })).toMatch(/must be|missing/);
    }
  });

  it('shows its working and draws within its frame', () => {
    const outcome = fitInWords(PURPOSES[kind], given, scene());
    if (outcome.kind !== 'fits') throw new Error('faulty');
    const { fit, drawing } = outcome;
    expect(fit.reason.inputs.length).toBeGreaterThan(1);
    expect(fit.reason.source.length).toBeGreaterThan(20);
    expect(drawing.description.length).toBeGreaterThan(20);
    for (const shape of drawing.primitives) {
      if (shape.kind !== 'area') continue;
      expect(shape.x0).toBeLessThanOrEqual(shape.x1);
      expect(shape.z0).toBeLessThanOrEqual(shape.z1);
      expect(shape.x0).toBeGreaterThanOrEqual(drawing.x0 - 1e-6);
      expect(shape.x1).toBeLessThanOrEqual(drawing.x1 + 1e-6);
    }
  });

  it('says what a hole of a size takes', () => {
    const said = PURPOSES[kind].reverse(12, sayIn(METRIC));
    if (said !== null) expect(said).toMatch(/\d/);
  });
});

import { INCH_POUND, METRIC } from '../../data/unitSystem';
import type { Fit } from '../../documents/fit';
import type { Field } from '../../layout/purposes/field';
import { PURPOSE_KINDS, PURPOSES, type PurposeKind } from '../../layout/purposes/purposes';
import type { Drawing, Primitive } from '../../math/primitives';
import { seededRandom, type Random } from '../../math/seededRandom';
import { fitInWords, sayIn } from './fitInWords';

const DRAWS = 120;

/** Something that goes into a field: from a fifth of its usual value to three times it. */
function drawn(field: Field, random: Random): number | string {
  if (field.kind === 'choice') {
    const options = Object.keys(field.options);
    return options[Math.floor(random() * options.length)] ?? field.usual;
  }
  const usual = typeof field.usual === 'number' && field.usual > 0 ? field.usual : 12;
  const value = Math.min(field.max, usual * 0.2 * 15 ** random());
  return field.kind === 'number' && field.whole ? Math.max(1, Math.round(value)) : value;
}

interface Shown {
  readonly given: Record<string, unknown>;
  readonly metric: Fit;
  readonly inch: Fit;
  readonly drawing: Drawing;
}
/** Parts drawn from a seed that a hole can be made for, and the sentences for those it cannot. */
function partsOf(kind: PurposeKind): { shown: Shown[]; refused: string[] } {
  const random = seededRandom(kind.length * 31);
  const shown: Shown[] = [];
  const refused: string[] = [];
  for (let draw = 0; draw < DRAWS; draw++) {
    const given = Object.fromEntries(
      Object.entries<Field>(PURPOSES[kind].fields)
        .filter(([, field]) => draw % 2 === 0 || !('optional' in field))
        .map(([name, field]) => [name, drawn(field, random)]),
    );
    const scene = { thicknessMm: 4 + 40 * random(), pieceMassKg: draw % 3 === 0 ? 2.5 : null };
    const metric = fitInWords(PURPOSES[kind], given, scene, METRIC);
    const inch = fitInWords(PURPOSES[kind], given, scene, INCH_POUND);
    if (metric.kind === 'fits' && inch.kind === 'fits')
      shown.push({ given, metric: metric.fit, inch: inch.fit, drawing: metric.drawing });
    else if (metric.kind === 'faulty') refused.push(...metric.faults.map(({ message }) => message));
  }
  return { shown, refused };
}
const EVERY = PURPOSE_KINDS.map((kind) => ({ kind, ...partsOf(kind) }));

const BROKEN = /NaN|undefined|null|Infinity|\[object|\$\{| {2}| [.,;:]|--/;
const SENTENCES = /^[“A-Z0-9].*[.!?]$/u;

function* textsOf(fit: Fit): Generator<string> {
  yield fit.reason.text;
  for (const { name, value } of fit.reason.inputs) yield* [name, value];
  for (const { label, text } of fit.results) yield* [label, text];
  for (const { title, detail } of fit.followUps) yield* [title, detail];
  for (const { message } of fit.cautions) yield message;
}
function* cornersOf(one: Primitive): Generator<readonly [number, number]> {
  if (one.kind === 'path') yield* one.points;
  if (one.kind === 'area' || one.kind === 'line')
    yield* [[one.x0, one.z0] as const, [one.x1, one.z1] as const];
}

describe.each(EVERY)('$kind', ({ kind, shown, refused }) => {
  it('can be made for some parts, and says in a sentence why not for the rest', () => {
    expect(shown.length).toBeGreaterThan(0);
    for (const message of refused) {
      expect(message).toMatch(SENTENCES);
      expect(message).not.toMatch(BROKEN);
    }
  });

  it('aims within its own range, at something', () => {
    for (const { metric } of shown) {
      const { targetMm, leastMm, mostMm } = metric.diameter;
      expect(leastMm).toBeGreaterThan(0);
      expect(leastMm).toBeLessThanOrEqual(targetMm + 1e-9);
      expect(targetMm).toBeLessThanOrEqual(mostMm + 1e-9);
      expect(metric.coverMm ?? 0).toBeGreaterThanOrEqual(0);
      expect(metric.toleranceMm ?? 0).toBeGreaterThanOrEqual(0);
      if (metric.depth.kind !== 'through') expect(metric.depth.depthMm).toBeGreaterThan(0);
    }
  });

  it('says so in whole sentences, in the units asked for', () => {
    for (const { metric, inch } of shown) {
      for (const text of [...textsOf(metric), ...textsOf(inch)]) expect(text).not.toMatch(BROKEN);
      for (const { detail } of metric.followUps) expect(detail).toMatch(SENTENCES);
      for (const { message } of metric.cautions) expect(message).toMatch(SENTENCES);
      for (const text of textsOf(inch)) expect(text).not.toMatch(/\d mm\b(?!²)/);
      for (const text of textsOf(metric)) expect(text).not.toMatch(/\d (in\b(?! \d)|lbf|US qt)/);
      // The same part is the same hole in either system.
      expect(inch.diameter).toEqual(metric.diameter);
      expect(inch.results.map(({ key, value }) => [key, value])).toEqual(
        metric.results.map(({ key, value }) => [key, value]),
      );
      const keys = metric.results.map(({ key }) => key);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  it('is drawn within its own frame, described', () => {
    for (const { drawing } of shown) {
      const { x0, x1, z0, z1, primitives, description } = drawing;
      expect(x0).toBeLessThan(x1);
      expect(z0).toBeLessThan(z1);
      expect(primitives.length).toBeGreaterThan(2);
      expect(description).toMatch(SENTENCES);
      expect(description).not.toMatch(BROKEN);
      const [roomX, roomZ] = [0.02 * (x1 - x0), 0.02 * (z1 - z0)];
      for (const one of primitives)
        for (const [x, z] of cornersOf(one)) {
          expect(x).toBeGreaterThanOrEqual(x0 - roomX);
          expect(x).toBeLessThanOrEqual(x1 + roomX);
          expect(z).toBeGreaterThanOrEqual(z0 - roomZ);
          expect(z).toBeLessThanOrEqual(z1 + roomZ);
        }
    }
  });

  it('turned round, says what a bit of any size would suit, or nothing', () => {
    for (const diameterMm of [1, 2.5, 6, 10, 25, 68, 127]) {
      const said = PURPOSES[kind].reverse(diameterMm, sayIn(METRIC));
      if (said === null) continue;
      expect(said).toMatch(SENTENCES);
      expect(said).not.toMatch(BROKEN);
      expect(said).not.toMatch(/-\d/);
    }
  });
});

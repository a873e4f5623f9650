import { mergeParts, samePart, type Part, type Parts } from './merge';

const parts = (fields: Readonly<Record<string, object>>, version: number): Parts =>
  new Map(Object.entries(fields).map(([name, one]) => [name, { ...one, version }]));
const merged = (base: object, mine: object, theirs: object, winner: 'mine' | 'theirs' = 'mine') => {
  const outcome = mergeParts(
    parts({ hole: base }, 1),
    parts({ hole: mine }, 1),
    parts({ hole: theirs }, 2),
    winner,
  );
  return { ...outcome, hole: outcome.parts.get('hole') };
};

describe('what is alike', () => {
  const part = (fields: object, version = 1): Part => ({ ...fields, version });
  it('goes by what was said, not by version, time or what is left open', () => {
    expect(samePart(part({ xMm: 1 }), part({ xMm: 1, updatedAt: 'now' }, 7))).toBe(true);
    expect(samePart(part({ xMm: 1, note: undefined }), part({ xMm: 1 }))).toBe(true);
    expect(samePart(part({ xMm: 1 }), part({ xMm: 2 }))).toBe(false);
    expect(samePart(undefined, undefined)).toBe(true);
    expect(samePart(part({}), undefined)).toBe(false);
  });
});

describe('one document, changed on two sides', () => {
  it('takes each field from the side that changed it, and the version the server has', () => {
    const { hole, clashes } = merged(
      { xMm: 10, yMm: 10, label: 'A' },
      { xMm: 12, yMm: 10, label: 'A' },
      { xMm: 10, yMm: 10, label: 'B' },
    );
    expect(hole).toEqual({ xMm: 12, yMm: 10, label: 'B', version: 2 });
    expect(clashes).toEqual([]);
  });

  it('tells what both changed differently, and lets the winner have it', () => {
    const sides = [{ xMm: 10 }, { xMm: 12 }, { xMm: 14 }] as const;
    const clash = { part: 'hole', path: ['xMm'], mine: 12, theirs: 14 };
    expect(merged(...sides, 'mine')).toMatchObject({ hole: { xMm: 12 }, clashes: [clash] });
    expect(merged(...sides, 'theirs')).toMatchObject({ hole: { xMm: 14 }, clashes: [clash] });
  });

  it('does not call it a clash where both changed it alike', () => {
    expect(merged({ xMm: 10 }, { xMm: 12 }, { xMm: 12 }).clashes).toEqual([]);
  });

  it('goes into what belongs together, and no further than its kind', () => {
    const water = (kind: string, more: object = {}) => ({ water: { kind, ...more } });
    const within = merged(
      water('tray', { levelMm: 5, flow: 1 }),
      water('tray', { levelMm: 8, flow: 1 }),
      water('tray', { levelMm: 5, flow: 2 }),
    );
    expect(within.hole).toMatchObject(water('tray', { levelMm: 8, flow: 2 }));
    expect(within.clashes).toEqual([]);
    // Half a tray and half a spray is no way of wetting.
    const other = merged(
      water('tray', { levelMm: 5 }),
      water('tray', { levelMm: 8 }),
      water('spray', { flow: 2 }),
    );
    expect(other.clashes).toEqual([
      {
        part: 'hole',
        path: ['water'],
        mine: { kind: 'tray', levelMm: 8 },
        theirs: { kind: 'spray', flow: 2 },
      },
    ]);
  });

  it('lets a field be taken out on one side', () => {
    const gone = merged({ xMm: 1, label: 'A' }, { xMm: 1 }, { xMm: 2, label: 'A' });
    expect(gone.hole).toEqual({ xMm: 2, version: 2 });
    expect(gone.clashes).toEqual([]);
  });
});

describe('lists', () => {
  const readings = (...all: readonly object[]) => ({ readings: all });

  it('are merged entry by entry where each has a name', () => {
    const { hole, clashes } = merged(
      readings({ id: 'a', mm: 5 }, { id: 'b', mm: 5 }),
      readings({ id: 'a', mm: 6 }, { id: 'b', mm: 5 }),
      readings({ id: 'a', mm: 5 }, { id: 'b', mm: 7 }, { id: 'c', mm: 4 }),
    );
    expect(hole).toMatchObject(
      readings({ id: 'a', mm: 6 }, { id: 'b', mm: 7 }, { id: 'c', mm: 4 }),
    );
    expect(clashes).toEqual([]);
  });

  it('are merged by the hazard an answer is to', () => {
    const { hole } = merged(
      readings(),
      readings({ hazard: 'dust', said: 'mask' }),
      readings({ hazard: 'shards', said: 'glasses' }),
    );
    expect(hole).toMatchObject({
      readings: expect.arrayContaining([
        { hazard: 'dust', said: 'mask' },
        { hazard: 'shards', said: 'glasses' },
      ]) as unknown,
    });
  });

  it.each([
    ['have no names', [{ mm: 5 }], [{ mm: 6 }], [{ mm: 7 }]],
    ['have one name twice', [], [{ id: 'a' }, { id: 'a' }], [{ id: 'b' }]],
    ['hold plain values', [1], [1, 2], [1, 3]],
  ])('are one thing where entries %s', (_, base, mine, theirs) => {
    const { clashes } = merged({ readings: base }, { readings: mine }, { readings: theirs });
    expect(clashes).toMatchObject([{ path: ['readings'], mine, theirs }]);
  });
});

describe('documents that come and go', () => {
  const base = parts({ a: { xMm: 1 } }, 1);
  const none: Parts = new Map();

  it('are taken from the side that made them', () => {
    const both = mergeParts(none, parts({ a: {} }, 0), parts({ b: {} }, 3), 'mine');
    expect([...both.parts.keys()].sort()).toEqual(['a', 'b']);
  });

  it('are gone where one side deleted what the other left alone', () => {
    expect(mergeParts(base, none, parts({ a: { xMm: 1 } }, 2), 'mine').parts.size).toBe(0);
    expect(mergeParts(base, parts({ a: { xMm: 1 } }, 1), none, 'mine').parts.size).toBe(0);
  });

  it('clash whole where one side deleted what the other changed', () => {
    const changed = parts({ a: { xMm: 2 } }, 1);
    const clashed = mergeParts(base, changed, none, 'mine');
    expect(clashed.clashes).toMatchObject([{ part: 'a', path: [], theirs: undefined }]);
    expect(clashed.parts.get('a')).toMatchObject({ xMm: 2 });
    expect(mergeParts(base, changed, none, 'theirs').parts.size).toBe(0);
  });
});

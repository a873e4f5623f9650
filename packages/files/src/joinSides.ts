import { distance, type PointMm, type Side } from '@nucleon/core/math/arc';

const turned = ({ a, b, bulge }: Side): Side => ({ a: b, b: a, bulge: -bulge });

/** A cell of the grid that ends are looked up in, a little wider than what counts as touching. */
const cellOf = (p: PointMm, size: number): readonly [number, number] => [
  Math.floor(p.xMm / size),
  Math.floor(p.yMm / size),
];

/**
 * Joins loose sides end to end into closed chains.
 * @param touching ends nearer than this meet, in the sides' own unit
 * @returns the closed chains, and the sides that belong to none
 */
export function joinSides(
  sides: readonly Side[],
  touching: number,
): { readonly closed: readonly (readonly Side[])[]; readonly open: readonly Side[] } {
  const grid = new Map<string, Set<number>>();
  const each = (side: Side, visit: (key: string) => void): void => {
    for (const end of [side.a, side.b]) visit(cellOf(end, 2 * touching).join(':'));
  };
  sides.forEach((side, index) => {
    each(side, (key) => {
      grid.set(key, (grid.get(key) ?? new Set()).add(index));
    });
  });
  const free = new Set(sides.keys());
  /** A used side leaves the grid too: thousands of lines through one point are each met once. */
  const use = (index: number): boolean => {
    const side = sides[index];
    if (side) each(side, (key) => grid.get(key)?.delete(index));
    return free.delete(index);
  };
  const nextFrom = (end: PointMm): { side: Side; index: number } | null => {
    const [cx, cy] = cellOf(end, 2 * touching);
    for (let dx = -1; dx <= 1; dx++) {
      for (let dy = -1; dy <= 1; dy++) {
        for (const index of grid.get(`${cx + dx}:${cy + dy}`) ?? []) {
          const side = sides[index];
          if (!side || !free.has(index)) continue;
          if (distance(side.a, end) <= touching) return { side, index };
          if (distance(side.b, end) <= touching) return { side: turned(side), index };
        }
      }
    }
    return null;
  };
  const closed: Side[][] = [];
  const open: Side[] = [];
  for (const [start, side] of sides.entries()) {
    if (!use(start)) continue;
    const chain = [side];
    for (;;) {
      const end = chain.at(-1)?.b ?? side.b;
      if (chain.length > 1 && distance(end, side.a) <= touching) break;
      const next = nextFrom(end);
      if (!next) break;
      use(next.index);
      chain.push(next.side);
    }
    const last = chain.at(-1);
    if (last && chain.length > 1 && distance(last.b, side.a) <= touching) closed.push(chain);
    else for (const one of chain) open.push(one);
  }
  return { closed, open };
}

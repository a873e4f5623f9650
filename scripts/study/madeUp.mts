import type { Random } from '@nucleon/core/math/seededRandom';

export const MATERIALS = [
  'float-glass',
  'granite',
  'porcelain-tile',
  'slate',
  'stoneware',
  'basalt',
] as const;
export const FAMILIES = ['sintered-core', 'plated-cup-saw', 'brazed-tile-core'] as const;
export const PERSONS = ['Ada', 'Ben', 'Cleo'] as const;

export const pick = <T,>(random: Random, from: readonly T[]): T => {
  const one = from[Math.floor(random() * from.length)];
  if (one === undefined) throw new Error('nothing to pick from');
  return one;
};

export const quantile = (values: readonly number[], share: number): number =>
  values.toSorted((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;

/** Effects of a made-up shop, each drawn when it is first met. */
export function drawnEffects<Level extends string>(
  sds: Readonly<Record<Level, number>>,
  normal: () => number,
): (level: Level, name: string) => number {
  const effects = new Map<string, number>();
  return (level, name) => {
    const key = `${level} ${name}`;
    const effect = effects.get(key) ?? sds[level] * normal();
    effects.set(key, effect);
    return effect;
  };
}

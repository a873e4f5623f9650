import type { RankedSetup } from './rankSetups';

/** The ways of wetting that go with one bit and machine, best first, in the order of their best. */
export function byBitAndMachine<One extends Pick<RankedSetup, 'bit' | 'machine'>>(
  ranked: readonly One[],
): readonly (readonly [One, ...One[]])[] {
  const groups = new Map<string, [One, ...One[]]>();
  for (const one of ranked) {
    const key = `${one.bit.id} ${one.machine.id}`;
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return [...groups.values()];
}

import type { Material } from '../../data/materials/material';
import { normalCdf } from '../../math/normal';

/** Household things from soft to hard, on Mohs’ scale. */
export const LADDER = {
  fingernail: { label: 'A fingernail', mohs: 2.4 },
  copper: { label: 'A copper coin or wire', mohs: 3.4 },
  'steel-nail': { label: 'A steel nail or knife', mohs: 5.4 },
  'steel-file': { label: 'A hardened file', mohs: 6.6 },
  quartz: { label: 'A quartz pebble', mohs: 7.1 },
} as const;

export type Rung = keyof typeof LADDER;
const RUNGS = Object.keys(LADDER) as readonly Rung[];

/** How far apart two honest scratch tests come out, Mohs. */
const TEST_SD = 0.45;
/** Stones of one name differ by about this share of their hardness. */
const STONE_SD = 0.05;

/**
 * P(the softest thing that scratches it is this rung), the stone's hardness spread normally about
 * its Mohs value; `nothing` when even quartz does not.
 */
export function scratchLikelihood(
  material: Pick<Material, 'mohs'>,
  rung: Rung | 'nothing',
): number {
  const sd = Math.hypot(TEST_SD, STONE_SD * material.mohs);
  const scratchedBy = (mohs: number): number => normalCdf((mohs - material.mohs) / sd);
  if (rung === 'nothing') return 1 - scratchedBy(LADDER.quartz.mohs);
  const below = RUNGS[RUNGS.indexOf(rung) - 1];
  return scratchedBy(LADDER[rung].mohs) - (below ? scratchedBy(LADDER[below].mohs) : 0);
}

/** Between which Mohs values the ladder puts it. */
export function hardnessBand(rung: Rung | 'nothing'): readonly [number, number] {
  if (rung === 'nothing') return [LADDER.quartz.mohs, 10];
  const below = RUNGS[RUNGS.indexOf(rung) - 1];
  return [below ? LADDER[below].mohs : 1, LADDER[rung].mohs];
}

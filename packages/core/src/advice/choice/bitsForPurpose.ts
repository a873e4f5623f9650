import { type DrillCase, withHole } from '../../setup/drillCase';
import { contextOf } from '../../plan/contextOf';
import type { Plan } from '../../documents/plan';
import type { Fit } from '../../documents/fit';
import { bitsForRange, type OwnedBit } from '../../layout/purposes/ownedFit';

/** Whether the part hides the chips this bit leaves: surely, at a stretch, or not. */
export type ChipVerdict = 'covered' | 'tight' | 'not-covered' | 'nothing-covers' | 'no-exit';

export interface BitForPurpose extends OwnedBit {
  readonly verdict: ChipVerdict;
  readonly chip: Plan['exitChipMm'];
}

export interface BitsForPurpose {
  readonly fitting: readonly BitForPurpose[];
  /** Bits that miss the range, the nearest first, with by how much. */
  readonly misses: readonly OwnedBit[];
}

const NEAREST_MISSES = 3;
const RANK: Record<ChipVerdict, number> = {
  covered: 0,
  'no-exit': 0,
  'nothing-covers': 1,
  tight: 2,
  'not-covered': 3,
};

/**
 * Owned bits for a purpose: those within its range with what their chips come to under its cover,
 * and by how much the nearest others miss. Each is planned as it would be drilled.
 */
export function bitsForPurpose(drillCase: DrillCase, fit: Fit): BitsForPurpose {
  const { fitting, misses } = bitsForRange(fit.diameter, drillCase.kit.bits ?? []);
  const judged = fitting.map((owned): BitForPurpose => {
    const chip = chipWith(drillCase, fit, owned);
    return { ...owned, verdict: verdictOf(chip, fit.coverMm), chip };
  });
  return {
    fitting: judged.sort(
      (a, b) =>
        RANK[a.verdict] - RANK[b.verdict] || Math.abs(a.offTargetMm) - Math.abs(b.offTargetMm),
    ),
    misses: misses.slice(0, NEAREST_MISSES),
  };
}

function chipWith(drillCase: DrillCase, fit: Fit, { bit }: OwnedBit): Plan['exitChipMm'] {
  const trial = withHole(drillCase, {
    diameterMm: bit.diameterMm,
    depth: fit.depth,
    setup: { ...drillCase.hole.setup, bit: bit.id, bits: [] },
  });
  const worked = contextOf(trial);
  return worked.kind === 'worked-out' ? worked.context.chip : null;
}

export function verdictOf(chip: Plan['exitChipMm'], coverMm: number | null): ChipVerdict {
  if (chip === null) return 'no-exit';
  if (coverMm === null) return 'nothing-covers';
  if (chip.p50 > coverMm * 1.001) return 'not-covered';
  return chip.p90 > coverMm ? 'tight' : 'covered';
}

import { type DrillCase, withHole } from '../../setup/drillCase';
import { makePlan } from '../../plan/makePlan';
import type { Plan } from '../../documents/plan';
import type { Fit } from '../../documents/fit';
import { bitsForRange, type OwnedBit } from '../../layout/purposes/ownedFit';
import { formatLength, formatLengthAbout } from '../../words/units/length';
import type { UnitSystem } from '../../words/units/unitSystem';

/** Whether the part hides the chips this bit leaves: surely, at a stretch, or not. */
export type ChipVerdict = 'covered' | 'tight' | 'not-covered' | 'nothing-covers' | 'no-exit';

export interface BitForPurpose extends OwnedBit {
  readonly verdict: ChipVerdict;
  readonly chip: Plan['exitChipMm'];
  /** Why it stands where it stands. */
  readonly text: string;
}

export interface BitsForPurpose {
  readonly fitting: readonly BitForPurpose[];
  /** Bits that miss the range, the nearest first, with by how much. */
  readonly misses: readonly (OwnedBit & { readonly text: string })[];
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
export function bitsForPurpose(drillCase: DrillCase, fit: Fit, units: UnitSystem): BitsForPurpose {
  const { fitting, misses } = bitsForRange(fit.diameter, drillCase.kit.bits ?? []);
  const judged = fitting.map((owned): BitForPurpose => {
    const plan = planWith(drillCase, fit, owned, units);
    const chip = plan?.exitChipMm ?? null;
    const verdict = verdictOf(chip, fit.coverMm);
    return { ...owned, verdict, chip, text: fittingText(owned, verdict, chip, fit, units) };
  });
  return {
    fitting: judged.sort(
      (a, b) =>
        RANK[a.verdict] - RANK[b.verdict] || Math.abs(a.offTargetMm) - Math.abs(b.offTargetMm),
    ),
    misses: misses.slice(0, NEAREST_MISSES).map((owned) => ({
      ...owned,
      text: `${formatLength(Math.abs(owned.missMm), units)} too ${owned.missMm < 0 ? 'small' : 'wide'}.`,
    })),
  };
}

function planWith(
  drillCase: DrillCase,
  fit: Fit,
  { bit }: OwnedBit,
  units: UnitSystem,
): Plan | null {
  const trial = withHole(drillCase, {
    diameterMm: bit.diameterMm,
    depth: fit.depth,
    setup: { ...drillCase.hole.setup, bit: bit.id, bits: [] },
  });
  const outcome = makePlan(trial, units);
  return outcome.kind === 'planned' ? outcome.plan : null;
}

export function verdictOf(chip: Plan['exitChipMm'], coverMm: number | null): ChipVerdict {
  if (chip === null) return 'no-exit';
  if (coverMm === null) return 'nothing-covers';
  if (chip.p50 > coverMm * 1.001) return 'not-covered';
  return chip.p90 > coverMm ? 'tight' : 'covered';
}

function fittingText(
  owned: OwnedBit,
  verdict: ChipVerdict,
  chip: Plan['exitChipMm'],
  fit: Fit,
  units: UnitSystem,
): string {
  const off = owned.offTargetMm;
  const size =
    Math.abs(off) < 0.02
      ? 'Just the size'
      : `${formatLength(Math.abs(off), units)} ${off < 0 ? 'under' : 'over'} the target, within the range`;
  const about = (mm: number): string => formatLengthAbout(mm, units);
  if (chip === null) return `${size}; no far face to chip.`;
  if (fit.coverMm === null) return `${size}; chips of about ${about(chip.p50)} show.`;
  const hides = `the part hides ${about(fit.coverMm)}`;
  switch (verdict) {
    case 'covered':
      return `${size}; chips of about ${about(chip.p50)}, nine in ten under ${about(chip.p90)}: ${hides}.`;
    case 'tight':
      return `${size}; chips of about ${about(chip.p50)}, but one in ten is over ${about(chip.p90)}: ${hides}.`;
    default:
      return `Rejected: chips of about ${about(chip.p50)} at best, but ${hides}. Something hard behind it, or both sides, makes them smaller.`;
  }
}

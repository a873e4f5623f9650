import { factsKey, glassFacts } from '../../setup/hazards/glassFacts';
import type { GlassTreatment, PieceForm } from '../../data/choices';
import type { HazardCheck } from '../../documents/hazardCheck';
import type { Piece } from '../../documents/piece';
import { identify, isStrengthened, SURE, type IdentifierKind } from './identify';
import type { Answers } from './posterior';

/** More than this left for strengthened glass, and no single proof is taken. */
const CONTRADICTED = 0.1;

/** Likelier than not, and it is taken for strengthened: that mistake costs least. */
const PRESUMED_STRENGTHENED = 0.5;

/** The test that vouches for a pane: a label, its maker’s word, or a clear polariser after its control. */
function proofOf(answers: Answers): string | null {
  if (answers.control === 'shows' && answers.pattern === 'clear') return 'polariser-clear';
  if (answers.label === 'says-annealed') return 'label-annealed';
  return answers.maker === 'says-annealed' ? 'maker-annealed' : null;
}

/** What the piece becomes by what was found out. */
export type Conclusion = Partial<
  Pick<Piece, 'material' | 'form' | 'glassTreatment' | 'couldBe' | 'checks'>
>;

/**
 * Turns answers into what is known of the piece.
 * @param take the likeliest alone, or all it may be: then the plan's ranges widen
 * @param atIso when it was answered, for the record with a gate
 */
export function conclude(
  kind: IdentifierKind,
  answers: Answers,
  piece: Pick<Piece, 'form' | 'checks'>,
  take: 'likeliest' | 'not-sure',
  atIso: string,
): Conclusion {
  const found = identify(kind, answers);
  const best = found.ranked[0];
  if (!best) return {};
  if (kind === 'glass') return concludeGlass(answers, piece, take, atIso);
  return {
    material: best.candidate.material,
    couldBe: take === 'not-sure' && found.couldBe.length > 1 ? found.couldBe : [],
  };
}

/** A likelihood is never a test: a pane stays unknown until something vouches for it. */
function concludeGlass(
  answers: Answers,
  piece: Pick<Piece, 'form' | 'checks'>,
  take: 'likeliest' | 'not-sure',
  atIso: string,
): Conclusion {
  const found = identify('glass', answers);
  const best = found.ranked[0];
  if (!best) return {};
  const { candidate, likelihood } = best;
  const material = candidate.material;
  const form: PieceForm = candidate.form ?? piece.form;
  const leads = likelihood >= SURE || take === 'likeliest';
  const presumed =
    (found.strengthenedOdds ?? 1) >= PRESUMED_STRENGTHENED
      ? found.ranked.find((one) => isStrengthened(one.candidate.treatment))?.candidate.treatment
      : leads && candidate.treatment !== 'annealed'
        ? candidate.treatment
        : undefined;
  const treatment: GlassTreatment = presumed ?? 'unknown';
  const base: Conclusion = { material, form, glassTreatment: treatment, couldBe: [] };
  if (treatment !== 'unknown') return base;
  const of = factsKey(
    glassFacts({ piece: { form, glassTreatment: treatment }, material: { id: material } }),
  );
  const proof = proofOf(answers);
  const add = (hazard: string, answer: string): Conclusion => ({
    ...base,
    checks: [
      ...(piece.checks ?? []).filter((check) => check.hazard !== hazard),
      { hazard, answer, at: atIso, of } satisfies HazardCheck,
    ],
  });
  if (best.id === 'bottle-or-jar' && leads) return add('hollow-glass', 'bottle-or-jar');
  if (form !== 'sheet' || material !== 'float-glass' || proof === null) return base;
  return (found.strengthenedOdds ?? 1) <= CONTRADICTED ? add('unknown-treatment', proof) : base;
}

/** Whether asking more is of no use: something vouches for it, or it is plainly known. */
export function isSettled(kind: IdentifierKind, answers: Answers): boolean {
  const found = identify(kind, answers);
  if (kind !== 'glass') return found.sure;
  if ((found.strengthenedOdds ?? 0) >= PRESUMED_STRENGTHENED) return true;
  const best = found.ranked[0];
  const isPane =
    best?.candidate.material === 'float-glass' && best.candidate.treatment === 'annealed';
  return isPane ? proofOf(answers) !== null : found.sure;
}

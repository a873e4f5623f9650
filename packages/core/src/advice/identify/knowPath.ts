import { hasTrait } from '../../data/materials/traits';
import { findMaterial } from '../../data/materials/materials';
import { isBuilding } from '../../data/pieceForms';
import type { Piece } from '../../documents/piece';
import { markOf, type KnowStep } from './knowMarks';
import type { MaterialClass } from '../../data/choices';
import { isSettled } from './conclude';
import { identify, IDENTIFIERS, type IdentifierKind } from './identify';
import { isAsked, type Answers } from './posterior';

/** A screen of the path: one of its own steps, or a question of the test, `q:` and its name. */
export type KnowScreen = KnowStep | `q:${string}`;

export const SKIPPED = 'skipped';

/** Kinds whose age decides on a hazard. */
const isAged = (id: string): boolean => {
  const material = findMaterial(id);
  return (
    material !== undefined &&
    (hasTrait(material, 'may-hold-asbestos') || hasTrait(material, 'lead-glaze'))
  );
};

export const isIdentifierKind = (kind: string | undefined): kind is IdentifierKind =>
  kind !== undefined && Object.hasOwn(IDENTIFIERS, kind);

/**
 * The screens of getting to know a piece, in order, those behind and those ahead. Questions of the
 * test stand in the order they were answered, then the one that tells most now.
 */
export function knowPath(
  piece: Pick<Piece, 'form' | 'material' | 'layers' | 'knowing'>,
  materialClass: MaterialClass,
): readonly KnowScreen[] {
  const kind = piece.knowing?.kind ?? materialClass;
  const answers = piece.knowing?.answers ?? {};
  const builtIn = isBuilding(piece);
  const asksWhich = !(builtIn && kind === 'masonry');
  const test = asksWhich && answers[markOf('which')] === 'help' && isIdentifierKind(kind);
  return [
    'kind',
    ...(asksWhich ? (['which'] as const) : []),
    ...(test ? [...questionScreens(kind, answers), 'found' as const] : []),
    ...(kind === 'glass' && !test ? (['treatment'] as const) : []),
    'form',
    ...(builtIn ? (['layers'] as const) : []),
    ...(builtIn && (piece.layers?.length ?? 0) > 1 ? [] : (['thickness'] as const)),
    ...(builtIn || piece.form === 'bead' ? [] : (['loose'] as const)),
    'damage',
    ...(builtIn || isAged(piece.material) ? (['age'] as const) : []),
    'worth',
    'done',
  ];
}

/** What can vouch for a pane: asked to the end even where likelihood has nothing left to learn. */
const PROOFS = ['label', 'maker', 'control', 'pattern'] as const;

function questionScreens(kind: IdentifierKind, answers: Answers): readonly KnowScreen[] {
  const { questions } = IDENTIFIERS[kind];
  const behind = Object.keys(answers).filter((id) => Object.hasOwn(questions, id));
  const next = isSettled(kind, answers) ? undefined : nextQuestion(kind, answers);
  return [...behind, ...(next ? [next] : [])].map((id) => `q:${id}` as const);
}

function nextQuestion(kind: IdentifierKind, answers: Answers): string | undefined {
  const telling = identify(kind, answers).next[0]?.question;
  if (telling !== undefined || kind !== 'glass') return telling;
  return PROOFS.find((id) => answers[id] === undefined && isAsked(IDENTIFIERS.glass, id, answers));
}

/** Whether a screen has been answered or skipped. */
export function isBehind(screen: KnowScreen, piece: Pick<Piece, 'knowing'>): boolean {
  const answers = piece.knowing?.answers ?? {};
  return screen.startsWith('q:')
    ? answers[screen.slice(2)] !== undefined
    : answers[markOf(screen as KnowStep)] !== undefined;
}

/** Where to go on: the first screen that is neither answered nor skipped. */
export const resumeAt = (path: readonly KnowScreen[], piece: Pick<Piece, 'knowing'>): KnowScreen =>
  path.find((screen) => !isBehind(screen, piece)) ?? 'done';

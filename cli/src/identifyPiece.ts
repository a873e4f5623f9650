import type { Fault } from '@nucleon/core/documents/fault';
import {
  checkAnswers,
  identify,
  IDENTIFIER_KINDS,
  IDENTIFIERS,
  type IdentifierKind,
} from '@nucleon/core/advice/identify/identify';
import { faultsInWords } from '@nucleon/core/words/faults';
import type { Console } from './console';
import { faultLine } from './faultLine';
import { jsonOption } from './jsonOption';

const isKind = (kind: unknown): kind is IdentifierKind =>
  typeof kind === 'string' && Object.hasOwn(IDENTIFIERS, kind);

/** Prints what a piece may be after some answers, likeliest first, and what to ask next. */
export function identifyPiece(json: string, console: Console): number {
  const refuse = (...faults: readonly Fault[]): number => {
    faults.forEach((fault) => {
      console.err(faultLine(fault));
    });
    return 1;
  };
  const given = jsonOption(json);
  if (given.kind === 'faulty') return refuse(given.fault);
  const { kind, answers: nested, ...flat } = given.value;
  if (!isKind(kind)) {
    return refuse({
      pointer: '/kind',
      message: `kind is ${kind === undefined ? 'missing' : JSON.stringify(kind)}; use one of ${IDENTIFIER_KINDS.join(', ')}.`,
    });
  }
  const said = nested ?? flat;
  if (typeof said !== 'object' || Array.isArray(said))
    return refuse({ pointer: '/answers', message: 'answers must be an object in braces.' });
  const answers = Object.fromEntries(
    Object.entries(said).map(([question, answer]) => [question, String(answer)]),
  );
  const faults = faultsInWords(checkAnswers(kind, answers));
  if (faults.length > 0) return refuse(...faults);
  const found = identify(kind, answers);
  const ranked = found.ranked.map(({ id, candidate, likelihood, because }) => ({
    id,
    name: candidate.name,
    material: candidate.material,
    ...(candidate.treatment ? { glassTreatment: candidate.treatment } : {}),
    likelihood,
    because,
  }));
  console.out(JSON.stringify({ ...found, ranked }, null, 2));
  return 0;
}

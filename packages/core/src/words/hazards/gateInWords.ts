import type { Gate } from '../../documents/gate';
import type { Finding } from '../../setup/hazards/hazard';
import type { HazardCode, RaisedGate } from '../../setup/hazards/judgeHazards';
import type { UnitSystem } from '../../data/unitSystem';
import { HAZARD_WORDS, type AnswerWords } from './hazardWords';

/** One hazard's words, its findings' own values not told apart: the registry has checked them. */
interface AnyHazardWords {
  readonly title: string;
  readonly message: Readonly<Record<string, (found: Finding, units: UnitSystem) => string>>;
  readonly answers: Readonly<Record<string, AnswerWords | ((found: Finding) => AnswerWords)>>;
}

const wordsOf = (code: HazardCode): AnyHazardWords =>
  HAZARD_WORDS[code] as unknown as AnyHazardWords;

/** A gate as it is shown, stored and answered. */
export function gateInWords(gate: RaisedGate, units: UnitSystem): Gate {
  const { code, scope, finding, of, settledBy, outdated } = gate;
  const { title, message, answers } = wordsOf(code);
  return {
    code,
    title,
    scope,
    of,
    level: finding.level,
    message: message[finding.found]?.(finding, units) ?? '',
    answers: finding.answers.map(({ code: answer }) => {
      const words = answers[answer];
      return {
        code: answer,
        label: answer,
        ...(typeof words === 'function' ? words(finding) : words),
      };
    }),
    ...(finding.helpedByKnowing ? { helpedByKnowing: true } : {}),
    ...(settledBy ? { settledBy } : {}),
    ...(outdated ? { outdated } : {}),
  };
}

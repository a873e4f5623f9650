import { EVIDENCE } from '@nucleon/core/advice/evidence/evidence';
import { formatWeighed } from '@nucleon/core/words/advice/evidenceWords';
import { unexplained, weighEvidence } from '@nucleon/core/advice/evidence/weighEvidence';
import { MODEL_VERSION } from '@nucleon/core/documents/plan';
import type { Console } from './console';
import { NUCLEON_VERSION } from './version';

/**
 * Prints what the model says of everyday jobs beside what happens at the bench.
 * @returns 1 when a row misses and nothing says why
 */
export function weighModel(asJson: boolean, console: Console): number {
  const rows = weighEvidence(EVIDENCE);
  const wrong = unexplained(rows);
  if (asJson)
    console.out(JSON.stringify({ nucleon: NUCLEON_VERSION, model: MODEL_VERSION, rows }, null, 2));
  else {
    for (const row of rows) console.out(formatWeighed(row));
    const landed = rows.filter(({ ok }) => ok).length;
    console.out(
      `${landed} of ${rows.length} land; ${rows.length - landed - wrong.length} miss for a reason that is known, ${wrong.length} without one.`,
    );
  }
  return wrong.length > 0 ? 1 : 0;
}

import type { Conclusion } from '../../advice/identify/conclude';

/** What a conclusion means for the drilling, in a sentence. */
export function conclusionText(found: Conclusion, name: string): string {
  const { glassTreatment, checks, couldBe } = found;
  if (glassTreatment !== undefined && glassTreatment !== 'unknown') {
    return glassTreatment === 'laminated'
      ? 'Laminated: only if its plies are annealed, each from its own side.'
      : 'It must not be drilled as it is: the plan stops, and shows what else can be done.';
  }
  if (glassTreatment === 'unknown') {
    return checks
      ? 'It may be drilled: what vouches for it is recorded with its time.'
      : 'Nothing vouches for it yet. The stop stands until a label, its maker or the polariser test does.';
  }
  return (couldBe?.length ?? 0) > 1
    ? `Planned as ${name.toLowerCase()}, with ranges wide enough for all it may be.`
    : `Planned as ${name.toLowerCase()}.`;
}

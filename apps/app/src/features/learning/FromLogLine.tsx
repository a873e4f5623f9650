import type { Plan } from '@nucleon/core/documents/plan';
import { fromLogText } from '@nucleon/core/words/plan/fromLogText';
import { learningWords } from '@nucleon/core/words/screens/learning';
import { routes } from '../../routes';
import { RowLink } from '../../ui/RowLink';
import { Label, Small } from '../../ui/text';

/** What the plan took from the log, beside what is calculated; the way to how well it knows. */
export function FromLogLine({ plan }: { readonly plan: Plan }) {
  const text = fromLogText(plan);
  return text ? (
    <RowLink to={routes.learning()} testID="from-log">
      <Small color="$ink" textAlign="left">
        {text}
      </Small>
      <Label>{learningWords.howItKnows}</Label>
    </RowLink>
  ) : null;
}

import type { Experience } from '@nucleon/core/documents/experience';
import type { Plan } from '@nucleon/core/documents/plan';
import { fromLogText } from '@nucleon/core/words/plan/fromLogText';
import { learningWords } from '@nucleon/core/words/screens/learning';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { Label, Small } from '../../ui/text';
import type { Editing } from '../hole/editing';

interface FromLogLineProps {
  readonly plan: Plan;
  readonly edit: Editing;
  /** What the log tells; null where it tells nothing, or no plan is to go by it. */
  readonly experience: Experience | null;
}

/** What the plan took from the log, beside what is calculated; the way to how well it knows, and to the plan as new. */
export function FromLogLine({ plan, edit, experience }: FromLogLineProps) {
  const isAsNew = edit.hole.setup?.asNew === true;
  const text = isAsNew ? learningWords.isAsNew : fromLogText(plan);
  return experience && text ? (
    <Column testID="from-log-part">
      <RowLink to={routes.learning()} testID="from-log">
        <Small color="$ink" textAlign="left">
          {text}
        </Small>
        <Label>{learningWords.howItKnows}</Label>
      </RowLink>
      <Row paddingHorizontal="$3" paddingBottom="$3">
        <Button
          label={isAsNew ? learningWords.byTheLog : learningWords.asNew}
          look="quiet"
          onPress={() => {
            edit.changeSetup({ asNew: isAsNew ? undefined : true }, 'asNew');
          }}
          testID="as-new"
        />
      </Row>
    </Column>
  ) : null;
}

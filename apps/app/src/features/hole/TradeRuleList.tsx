import type { TradeRuleInWords } from '@nucleon/core/words/advice/tradeRulesInWords';
import { holeWords } from '@nucleon/core/words/screens/hole';
import CircleCheck from 'lucide-react-native/icons/circle-check';
import Scale from 'lucide-react-native/icons/scale';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Heading, Small, Strong } from '../../ui/text';

/** Rules of thumb beside the plan: whose each is, what it comes to here, and why the plan departs. */
export function TradeRuleList({ rules }: { readonly rules: readonly TradeRuleInWords[] }) {
  if (rules.length === 0) return null;
  return (
    <Column padding="$4" gap="$3" testID="trade-rules">
      <Heading aria-level={2}>{holeWords.whatTradesSay}</Heading>
      {rules.map(({ id, rule, whose, beside, why, agrees }) => (
        <Row key={id} gap="$3" alignItems="flex-start">
          <Icon of={agrees ? CircleCheck : Scale} tone={agrees ? 'fine' : 'muted'} />
          <Column flex={1} gap="$1">
            <Strong fontSize="$2">{rule}</Strong>
            <Small>
              {whose}. {beside}
            </Small>
            {why === '' ? null : <Small>{why}</Small>}
          </Column>
        </Row>
      ))}
    </Column>
  );
}

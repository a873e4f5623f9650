import type { Plan } from '@nucleon/core/documents/plan';
import { operationTotals } from '@nucleon/core/words/plan/operationLine';
import { Column, Panel, Row } from '../../ui/layout';
import { Label, Small, Strong } from '../../ui/text';

/** What all operations come to. */
export function OperationTotals({ plan }: { readonly plan: Plan }) {
  return (
    <Panel borderLeftWidth={0} borderRightWidth={0} borderTopWidth={0} testID="operation-totals">
      <Row padding="$3" gap="$4" flexWrap="wrap">
        {operationTotals(plan).map(({ label, value, note }) => (
          <Column key={label} minWidth={90}>
            <Label>{label}</Label>
            <Strong>{value}</Strong>
            {note ? <Small>{note}</Small> : null}
          </Column>
        ))}
      </Row>
    </Panel>
  );
}

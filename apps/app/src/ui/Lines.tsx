import type { ReasonInput } from '@nucleon/core/documents/reason';
import { Column, Row } from './layout';
import { Small, Strong } from './text';

/** Names and values, a line each. */
export function Lines({
  lines,
  testID,
}: {
  readonly lines: readonly ReasonInput[];
  readonly testID?: string;
}) {
  return (
    <Column gap="$2" testID={testID}>
      {lines.map(({ name, value }) => (
        <Row key={name} gap="$3" alignItems="flex-start">
          <Small flex={1}>{name}</Small>
          <Strong flex={1.4} fontSize="$2" lineHeight="$2">
            {value}
          </Strong>
        </Row>
      ))}
    </Column>
  );
}

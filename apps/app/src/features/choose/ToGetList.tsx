import { chooseWords } from '@nucleon/core/words/screens/choose';
import type { ToGet } from '@nucleon/core/words/advice/whatToGet';
import { Column, Panel } from '../../ui/layout';
import { Heading, Label, Small } from '../../ui/text';

/** What to buy or hire: what it must be, never whose. */
export function ToGetList({ toGet }: { readonly toGet: ToGet }) {
  return (
    <Panel padding="$4" gap="$3" testID="to-get">
      <Heading aria-level={2}>{chooseWords.whatToBuyOr}</Heading>
      <Part label={chooseWords.bit} lines={toGet.bit} />
      <Part label={chooseWords.machine} lines={toGet.machine} />
    </Panel>
  );
}

function Part({ label, lines }: { readonly label: string; readonly lines: readonly string[] }) {
  return (
    <Column gap="$1">
      <Label>{label}</Label>
      {lines.map((line, index) => (
        <Small key={line} color={index === 0 ? '$ink' : '$muted'}>
          {line[0]?.toUpperCase()}
          {line.slice(1)}.
        </Small>
      ))}
    </Column>
  );
}

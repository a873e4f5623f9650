import { uiWords } from '@nucleon/core/words/screens/ui';
import type { ReasonInput } from '@nucleon/core/documents/reason';
import { useState } from 'react';
import { Button } from './Button';
import { Column, Row } from './layout';
import { Lines } from './Lines';
import { Small, Strong } from './text';

interface PartPanelProps {
  readonly title: string;
  readonly text: string;
  readonly lines: readonly ReasonInput[];
  readonly source: string;
  readonly grave?: boolean;
  readonly testID?: string;
}

/** One thing to do, in a sentence, with its working behind a tap. */
export function PartPanel({ title, text, lines, source, grave = false, testID }: PartPanelProps) {
  const [open, setOpen] = useState(false);
  return (
    <Column
      gap="$2"
      paddingVertical="$3"
      borderTopWidth={1}
      borderColor="$line"
      alignItems="stretch"
      testID={testID}
    >
      <Row justifyContent="space-between" gap="$3" alignItems="flex-start">
        <Column flex={1} gap="$1">
          <Strong color={grave ? '$caution' : '$ink'}>
            {grave ? uiWords.mindThis(title) : title}
          </Strong>
          <Small color="$ink">{text}</Small>
        </Column>
        {lines.length > 0 ? (
          <Button
            label={open ? uiWords.hide : uiWords.why}
            look="quiet"
            hint={uiWords.workingOf(open, title.toLowerCase())}
            onPress={() => {
              setOpen(!open);
            }}
          />
        ) : null}
      </Row>
      {open ? (
        <Column gap="$2">
          <Lines lines={lines} />
          <Small>{source}</Small>
        </Column>
      ) : null}
    </Column>
  );
}

import { knowWords } from '@nucleon/core/words/screens/know';
import { commonWords } from '@nucleon/core/words/screens/common';
import { identify, IDENTIFIERS } from '@nucleon/core/advice/identify/identify';
import type { LayerMix } from '@nucleon/core/documents/piece';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { Shares } from './Shares';

interface LeafHelpProps {
  readonly onFound: (leaf: {
    readonly material: string;
    readonly mix?: readonly LayerMix[];
  }) => void;
}

/** What one leaf may be, by dust, feel, sound and sight. */
export function LeafHelp({ onFound }: LeafHelpProps) {
  const [answers, setAnswers] = useState<Record<string, string> | null>(null);
  if (answers === null) {
    return (
      <Row>
        <Button
          label={commonWords.helpMeFindOut}
          look="quiet"
          onPress={() => {
            setAnswers({});
          }}
          testID="leaf-help"
        />
      </Row>
    );
  }
  const found = identify('masonry', answers);
  const best = found.ranked[0];
  const { questions } = IDENTIFIERS.masonry;
  return (
    <Column gap="$3" paddingLeft="$3" borderLeftWidth={3} borderColor="$water">
      {Object.entries(questions).map(([id, question]) => (
        <Column key={id} gap="$1">
          <Chips
            label={question.ask}
            chips={Object.entries(question.answers).map(([value, { label }]) => ({ value, label }))}
            value={answers[id]}
            onChange={(answer) => {
              setAnswers({ ...answers, [id]: answer });
            }}
          />
          <Small>{question.how}</Small>
        </Column>
      ))}
      <Shares found={found} max={3} />
      <Row flexWrap="wrap" gap="$2">
        {best ? (
          <Button
            label={knowWords.itIs(best.candidate.name.toLowerCase())}
            onPress={() => {
              onFound({ material: best.candidate.material });
              setAnswers(null);
            }}
          />
        ) : null}
        <Button
          label={knowWords.stillNotSure}
          onPress={() => {
            onFound({
              material: best?.candidate.material ?? 'clay-brick',
              mix: found.couldBe,
            });
            setAnswers(null);
          }}
        />
      </Row>
      <Small>{found.staysUnknown}</Small>
    </Column>
  );
}

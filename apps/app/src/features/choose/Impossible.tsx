import { chooseWords } from '@nucleon/core/words/screens/choose';
import type { DescribedImpossible } from '@nucleon/core/words/advice/rankingInWords';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Heading, Small, Strong } from '../../ui/text';

const SHOWN_AT_FIRST = 4;

/** Bits and machines of the right size that cannot, each with what stands in the way. */
export function Impossible({ list }: { readonly list: readonly DescribedImpossible[] }) {
  const [all, setAll] = useState(false);
  if (list.length === 0) return null;
  const shown = all ? list : list.slice(0, SHOWN_AT_FIRST);
  return (
    <Column gap="$2" testID="impossible">
      <Heading aria-level={2}>{chooseWords.cannotAndWhy}</Heading>
      {shown.map(({ bit, machine, obstacles }) => (
        <Column
          key={`${bit.id} ${machine.id}`}
          borderTopWidth={1}
          borderColor="$line"
          paddingVertical="$2"
          gap="$1"
        >
          <Strong fontSize="$2">
            {bit.name}, {machine.name}
          </Strong>
          {obstacles.map(({ code, text }) => (
            <Small key={code}>{text}</Small>
          ))}
        </Column>
      ))}
      {list.length > SHOWN_AT_FIRST ? (
        <Row>
          <Button
            label={all ? chooseWords.showFewer : chooseWords.showAll(list.length)}
            look="quiet"
            onPress={() => {
              setAll(!all);
            }}
          />
        </Row>
      ) : null}
    </Column>
  );
}

import type { Coverage, CoverageTarget } from '@nucleon/contract/wire';
import { coverageText } from '@nucleon/core/words/hazards/coverageWords';
import { gatesWords } from '@nucleon/core/words/screens/gates';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { postCoverage } from '../../api/holes';
import { useWrite } from '../../api/useWrite';
import { readAnew } from '../../api/readAnew';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Heading, Small } from '../../ui/text';
import { TickRow } from '../../ui/TickRow';
import { useUndo } from '../../ui/undoStore';
import { Trouble } from '../../ui/Trouble';

/** Answers given here that hold at other holes of the job: with whom they leave out, taken there in one tap. */
export function AnswersThere({
  holeId,
  coverage: { there, waiting },
}: {
  readonly holeId: string;
  readonly coverage: Coverage;
}) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const client = useQueryClient();
  const showUndo = useUndo((state) => state.show);
  const taking = useWrite((take: readonly CoverageTarget[]) => postCoverage(holeId, { take }), {
    otherwise: gatesWords.itWasNotTaken,
    done: ({ taken }) => {
      showUndo({
        message: gatesWords.taken(taken.length),
        undo: async () => {
          await postCoverage(holeId, { takeBack: taken });
          await readAnew(client);
        },
      });
    },
  });
  const chosen = there.filter(({ hazard }) => !left.has(hazard));
  if (there.length === 0) return null;
  return (
    <Column padding="$4" gap="$1" testID="answers-there">
      <Heading aria-level={2}>{gatesWords.holdsElsewhere}</Heading>
      <Small>
        {gatesWords.untickWhatDoesNot}
        {waiting > 0 ? ` ${gatesWords.notPlannedYet(waiting)}` : ''}
      </Small>
      {there.map(({ hazard, title, answer, scope, covered, exceptions }) => (
        <TickRow
          key={hazard}
          title={title}
          detail={`${answer}. ${coverageText(covered, exceptions, scope)}`}
          keepsDetail
          on={!left.has(hazard)}
          onChange={(on) => {
            setLeft((was) => {
              const next = new Set(was);
              if (on) next.delete(hazard);
              else next.add(hazard);
              return next;
            });
          }}
          testID={`there-${hazard}`}
        />
      ))}
      <Trouble text={taking.trouble} />
      <Row>
        <Button
          label={gatesWords.takeItThere}
          disabled={taking.busy || chosen.length === 0}
          onPress={() => {
            taking.run(
              chosen.flatMap(({ hazard, covered }) =>
                covered.map((place) => ({ hazard, holeId: place.holeId })),
              ),
            );
          }}
          testID="take-there"
        />
      </Row>
    </Column>
  );
}

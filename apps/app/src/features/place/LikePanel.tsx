import { placeWords } from '@nucleon/core/words/screens/place';
import type { PieceInJob, PieceLayout } from '@nucleon/contract/wire';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { jobQuery } from '../../api/jobs';
import { putLayout } from '../../api/layouts';
import { putPiece } from '../../api/pieces';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { NumberBox } from '../../ui/NumberBox';
import { Small, Strong } from '../../ui/text';
import { bodyOf } from '../hole/holeDraft';

const MAX_COPIES = 30;
const COPIES = { above: 0, max: MAX_COPIES, unit: '' };

const isLike = (one: PieceInJob, piece: PieceLayout['piece']): boolean =>
  one.id !== piece.id &&
  one.form === piece.form &&
  JSON.stringify(one.outline) === JSON.stringify(piece.outline);

/** Repeats the pattern: on pieces of the job with the same outline, or on new ones like this. */
export function LikePanel({
  layout,
  saved,
}: {
  readonly layout: PieceLayout;
  readonly saved: boolean;
}) {
  const { piece, holes, job } = layout;
  const detail = useQuery(jobQuery(job.id));
  const [copies, setCopies] = useState(3);
  const like = detail.data?.pieces.filter((one) => isLike(one, piece)) ?? [];
  const fresh = () =>
    holes.map(({ mark: _mark, checks: _checks, ...hole }) => {
      const id = newId();
      return { ...bodyOf({ ...hole, id }, 0), id };
    });
  const [said, setSaid] = useState('');
  const spread = useWrite((work: () => Promise<string>) => work(), { done: setSaid });
  const same = async (): Promise<string> => {
    for (const one of like)
      await putLayout(one.id, { holes: fresh(), removed: one.holes.map(({ id }) => id) });
    return placeWords.setOutOn(like.map(({ name }) => `“${name}”`).join(', '));
  };
  const more = async (): Promise<string> => {
    for (let number = 2; number <= copies + 1; number++) {
      const id = newId();
      // What was answered or measured of this very piece is not true of another.
      const { checks: _checks, photo: _photo, ...own } = piece;
      await putPiece(job.id, id, { ...bodyOf({ ...own, id }, 0), name: `${piece.name} ${number}` });
      await putLayout(id, { holes: fresh() });
    }
    return placeWords.madeMoreLikeIt(copies);
  };
  return (
    <Column gap="$4">
      {like.length > 0 ? (
        <>
          <Strong fontSize="$2">
            {placeWords.inThisJobLike(like.length, like.map(({ name }) => name).join(', '))}
          </Strong>
          <Button
            label={placeWords.setSameHolesOut}
            disabled={!saved || spread.busy || holes.length === 0}
            onPress={() => {
              spread.run(same);
            }}
            testID="like-same"
          />
          <Small>{placeWords.holesTheyHaveNow}</Small>
        </>
      ) : (
        <Small>{placeWords.noOtherPieceOf}</Small>
      )}
      <NumberBox
        label={placeWords.orMakeMoreLike}
        value={copies}
        limit={COPIES}
        onChange={(value) => {
          setCopies(Math.max(1, Math.round(value ?? 1)));
        }}
        testID="like-count"
      />
      <Button
        label={placeWords.makeMore(copies)}
        disabled={!saved || spread.busy || copies > MAX_COPIES}
        onPress={() => {
          spread.run(more);
        }}
        testID="like-more"
      />
      <Small role="status" aria-live="polite" testID="like-said">
        {spread.busy ? '…' : spread.trouble || said}
      </Small>
    </Column>
  );
}

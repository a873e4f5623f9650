import { knowWords } from '@nucleon/core/words/screens/know';
import { useQuery } from '@tanstack/react-query';
import { jobQuery } from '../../api/jobs';
import { Chips } from '../../ui/Chips';
import { TextBox } from '../../ui/TextBox';
import type { HoleRoom } from '../hole/useHoleRoom';

const MAX_NAME = 80;

/** Sheet or batch the piece is from, typed once and tapped for its sisters: the log compares sheets. */
export function SheetField({ room }: { readonly room: HoleRoom }) {
  const { piece, changePiece } = room.edit;
  const job = useQuery(jobQuery(room.detail.job.id));
  const others = new Set(
    (job.data?.pieces ?? []).flatMap(({ id, material, sheet }) =>
      id !== piece.id && material === piece.material && sheet ? [sheet] : [],
    ),
  );
  const set = (sheet: string): void => {
    changePiece({ sheet: sheet === '' ? undefined : sheet.slice(0, MAX_NAME) }, 'sheet');
  };
  return (
    <>
      <TextBox
        label={knowWords.sheet}
        value={piece.sheet ?? ''}
        placeholder={knowWords.sheetSuchAs}
        note={knowWords.sheetWhy}
        onChangeText={set}
        testID="know-sheet"
      />
      {others.size > 0 ? (
        <Chips
          label={knowWords.sameSheetAs}
          chips={[...others].map((value) => ({ value, label: value }))}
          value={piece.sheet}
          onChange={set}
          testID="know-same-sheet"
        />
      ) : null}
    </>
  );
}

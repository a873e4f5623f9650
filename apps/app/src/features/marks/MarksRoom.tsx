import { marksWords } from '@nucleon/core/words/screens/marks';
import { commonWords } from '@nucleon/core/words/screens/common';
import { markNoteText } from '@nucleon/core/words/layout/markNoteText';
import { routes } from '../../routes';
import type { PieceLayout, StoredBit } from '@nucleon/contract/wire';
import type { Datum } from '@nucleon/core/documents/piece';
import { markSheet } from '@nucleon/core/layout/markSheet';
import { USUAL_DATUM } from '@nucleon/core/layout/tapes';
import { isRound } from '@nucleon/core/layout/wrap';
import { useQuery } from '@tanstack/react-query';
import Printer from 'lucide-react-native/icons/printer';
import { houseQuery } from '../../api/house';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Empty } from '../../ui/StateView';
import { Body } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { SaveMark } from '../draft/SaveMark';
import { changeHole, changePiece } from '../place/layoutEdits';
import { LayoutTrouble } from '../place/LayoutTrouble';
import { useLayoutDraft, useLayoutSave } from '../place/useLayoutDraft';
import { MarkCard } from './MarkCard';

const clockMs = (): number => Date.now();

interface MarksRoomProps {
  readonly layout: PieceLayout;
  readonly bits: readonly StoredBit[];
}

/** The marking list: hole by hole from the datum, what to measure, what was measured. */
export function MarksRoom({ layout, bits }: MarksRoomProps) {
  const units = useUnits();
  const handle = useLayoutDraft(layout);
  useLayoutSave(handle, true);
  const { data: house } = useQuery(houseQuery);
  const { piece, holes } = handle.draft.now;
  const { customMaterials: custom } = layout.job;
  const sheet = markSheet({ piece, holes, custom, bits, house });
  const datum: Datum = piece.datum ?? USUAL_DATUM;
  const edit = (change: ReturnType<typeof changePiece>, group: string): void => {
    handle.dispatch({ type: 'edit', change, group, atMs: clockMs() });
  };
  const round = isRound(piece.outline);
  return (
    <Page
      title={piece.name}
      subtitle={marksWords.markName(layout.job.name)}
      back={{ href: routes.place(layout.job.id, piece.id), label: commonWords.thePlan }}
      actions={<SaveMark save={handle.draft.save} />}
    >
      <LayoutTrouble {...handle} />
      <Column padding="$4" gap="$4">
        {sheet.notes.map((note) => (
          <Body key={note.code}>{markNoteText(note, units)}</Body>
        ))}
        {round ? null : (
          <Row gap="$5" flexWrap="wrap" id="print-hide-datum">
            <Chips
              label={marksWords.measureFrom}
              chips={[
                { value: 'left', label: marksWords.left },
                { value: 'right', label: marksWords.right },
              ]}
              value={datum.x}
              onChange={(x) => {
                edit(changePiece({ datum: { ...datum, x } }), 'datum x');
              }}
              testID="datum-x"
            />
            <Chips
              label={marksWords.and}
              chips={[
                { value: 'bottom', label: marksWords.bottom },
                { value: 'top', label: marksWords.top },
              ]}
              value={datum.y}
              onChange={(y) => {
                edit(changePiece({ datum: { ...datum, y } }), 'datum y');
              }}
              testID="datum-y"
            />
          </Row>
        )}
        {sheet.rows.length === 0 ? (
          <Empty title={marksWords.noHolesToMark} text={marksWords.laySomeOutOn} />
        ) : null}
        {sheet.rows.map((row, index) => (
          <MarkCard
            key={row.hole.id}
            row={row}
            number={index + 1}
            onChange={(mark, group) => {
              edit(
                changeHole(row.hole.id, { mark: { ...row.hole.mark, ...mark } }),
                `${group} ${row.hole.id}`,
              );
            }}
          />
        ))}
        <Row id="print-hide-menu">
          <Button
            label={marksWords.printList}
            icon={Printer}
            onPress={() => {
              window.print();
            }}
          />
        </Row>
      </Column>
    </Page>
  );
}

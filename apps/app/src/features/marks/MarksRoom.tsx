import { markNoteText } from '@nucleon/core/words/layout/markNoteText';
import { routes } from '../../routes';
import type { PieceLayout, StoredBit } from '@nucleon/contract/wire';
import type { Datum } from '@nucleon/core/documents/piece';
import { markSheet } from '@nucleon/core/layout/markSheet';
import { USUAL_DATUM } from '@nucleon/core/layout/tapes';
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
  const round = piece.outline.kind === 'cylinder' || piece.outline.kind === 'cone';
  return (
    <Page
      title={piece.name}
      subtitle={`Mark · ${layout.job.name}`}
      back={{ href: routes.place(layout.job.id, piece.id), label: 'the plan' }}
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
              label="Measure from the"
              chips={[
                { value: 'left', label: 'Left' },
                { value: 'right', label: 'Right' },
              ]}
              value={datum.x}
              onChange={(x) => {
                edit(changePiece({ datum: { ...datum, x } }), 'datum x');
              }}
              testID="datum-x"
            />
            <Chips
              label="and the"
              chips={[
                { value: 'bottom', label: 'Bottom' },
                { value: 'top', label: 'Top' },
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
          <Empty title="No holes to mark" text="Lay some out on the piece first." />
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
            label="Print the list"
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

import { filesWords } from '@nucleon/core/words/screens/files';
import type { Hole } from '@nucleon/core/documents/hole';
import type { Piece } from '@nucleon/core/documents/piece';
import { sheetOf } from '@nucleon/files/sheet';
import { PAPERS, type PaperId } from '@nucleon/files/tiles';
import FileDown from 'lucide-react-native/icons/file-down';
import { useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { fileName, saveFile } from '../../ui/saveFile';
import { Small } from '../../ui/text';
import { paperFonts } from '../../workers/paperFonts';
import { askFiles, blobOf, type FilesJob } from '../../workers/files';
import type { DrawnFormat } from '../../workers/fileTasks';
import { useUnits } from '../display/displayStore';

const PAPER_CHIPS = (Object.entries(PAPERS) as [PaperId, (typeof PAPERS)[PaperId]][]).map(
  ([value, { name }]) => ({ value, label: name }),
);

/** The face at full size: pages to print and lay on, or a drawing for other tools. */
export function WritePanel({
  piece,
  holes,
  face,
}: {
  readonly piece: Piece;
  readonly holes: readonly Hole[];
  readonly face: 'face' | 'base';
}) {
  const units = useUnits();
  const [paper, setPaper] = useState<PaperId>(units.length === 'inch' ? 'letter' : 'a4');
  const [side, setSide] = useState<'front' | 'back'>('front');
  const [said, setSaid] = useState('');
  const [busy, setBusy] = useState(false);
  const job = useRef<FilesJob<'writeDrawing'> | null>(null);
  const write = async (format: DrawnFormat): Promise<void> => {
    setBusy(true);
    setSaid(filesWords.drawing);
    const mirrored = side === 'back';
    const sheet = sheetOf(piece, holes, face);
    const fonts = format === 'pdf' ? await paperFonts(JSON.stringify(sheet)) : null;
    job.current = askFiles(
      'writeDrawing',
      { format, sheet, paper, mirrored, units, fonts },
      (done, of) => {
        setSaid(filesWords.drawingPageOf(done, of));
      },
    );
    const reply = await job.current.done;
    setBusy(false);
    if (reply.kind === 'refused') {
      setSaid(reply.message);
      return;
    }
    const name = `${fileName(piece.name, 'piece')}${format === 'pdf' && mirrored ? '-back' : ''}.${format}`;
    saveFile(name, blobOf(reply));
    setSaid(
      format === 'pdf'
        ? filesWords.savedAsPrintAt(name, reply.missing)
        : filesWords.savedAsInMillimetres(name),
    );
  };
  return (
    <Column gap="$4">
      <Row gap="$5" flexWrap="wrap">
        <Chips
          label={filesWords.paper}
          chips={PAPER_CHIPS}
          value={paper}
          onChange={setPaper}
          testID="paper"
        />
        <Chips
          label={filesWords.drawnFrom}
          chips={[
            { value: 'front', label: filesWords.theFront },
            { value: 'back', label: filesWords.theBackMirrored },
          ]}
          value={side}
          onChange={setSide}
          testID="paper-side"
        />
      </Row>
      <Row gap="$2" flexWrap="wrap">
        {(['pdf', 'dxf', 'svg'] as const).map((format) => (
          <Button
            key={format}
            label={format === 'pdf' ? filesWords.templatePdf : format.toUpperCase()}
            icon={FileDown}
            look={format === 'pdf' ? 'main' : 'plain'}
            disabled={busy}
            onPress={() => void write(format)}
            testID={`write-${format}`}
          />
        ))}
        {busy ? (
          <Button
            label={filesWords.cancel}
            look="quiet"
            onPress={() => {
              job.current?.cancel();
            }}
          />
        ) : null}
      </Row>
      <Small role="status" aria-live="polite" testID="write-said">
        {said}
      </Small>
    </Column>
  );
}

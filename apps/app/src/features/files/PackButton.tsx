import { filesWords } from '@nucleon/core/words/screens/files';
import type { JobOnPaper } from '@nucleon/files/jobPack';
import FileText from 'lucide-react-native/icons/file-text';
import { useRef, useState } from 'react';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/layout';
import { fileName, saveFile } from '../../ui/saveFile';
import { paperFonts } from '../../workers/paperFonts';
import { askFiles, blobOf, type FilesJob } from '../../workers/files';
import { useUnits } from '../display/displayStore';

interface PackButtonProps {
  readonly label: string;
  readonly name: string;
  /** Asked for when it is pressed. */
  readonly asked: () => Promise<JobOnPaper>;
  readonly cardsOnly?: boolean;
  readonly onSaid: (text: string) => void;
  readonly testID: string;
}

/** A job, or one hole of it, on paper. */
export function PackButton({
  label,
  name,
  asked,
  cardsOnly = false,
  onSaid,
  testID,
}: PackButtonProps) {
  const units = useUnits();
  const [busy, setBusy] = useState(false);
  const writing = useRef<FilesJob<'writePack'> | null>(null);
  const write = async (): Promise<void> => {
    setBusy(true);
    onSaid(filesWords.drawing);
    try {
      const job = await asked();
      const fonts = await paperFonts(JSON.stringify(job));
      writing.current = askFiles(
        'writePack',
        {
          job,
          fonts,
          cardsOnly,
          paper: units.length === 'inch' ? 'letter' : 'a4',
          units,
        },
        (done, of) => {
          onSaid(filesWords.drawingOf(done, of));
        },
      );
      const reply = await writing.current.done;
      if (reply.kind === 'written') {
        const saved = `${fileName(name, 'hole')}.pdf`;
        saveFile(saved, blobOf(reply));
        onSaid(filesWords.savedAs(saved, reply.missing));
      } else onSaid(reply.message);
    } catch (error) {
      onSaid(error instanceof Error ? error.message : filesWords.itCouldNotBe);
    }
    setBusy(false);
  };
  return (
    <Row gap="$2" flexWrap="wrap">
      <Button
        label={label}
        icon={FileText}
        disabled={busy}
        onPress={() => void write()}
        testID={testID}
      />
      {busy ? (
        <Button
          label={filesWords.cancel}
          look="quiet"
          onPress={() => {
            writing.current?.cancel();
          }}
          testID={`${testID}-cancel`}
        />
      ) : null}
    </Row>
  );
}

import { filesWords } from '@nucleon/core/words/screens/files';
import type { JobOnPaper } from '@nucleon/files/jobPack';
import FileText from 'lucide-react-native/icons/file-text';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { fileName, saveFile } from '../../ui/saveFile';
import { askFiles, blobOf } from '../../workers/files';
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
  const write = async (): Promise<void> => {
    setBusy(true);
    onSaid(filesWords.drawing);
    try {
      const reply = await askFiles(
        'writePack',
        {
          job: await asked(),
          cardsOnly,
          paper: units.length === 'inch' ? 'letter' : 'a4',
          units,
        },
        (done, of) => {
          onSaid(filesWords.drawingOf(done, of));
        },
      ).done;
      if (reply.kind === 'written') {
        const saved = `${fileName(name, 'hole')}.pdf`;
        saveFile(saved, blobOf(reply));
        onSaid(filesWords.savedAs(saved));
      } else onSaid(reply.message);
    } catch (error) {
      onSaid(error instanceof Error ? error.message : filesWords.itCouldNotBe);
    }
    setBusy(false);
  };
  return (
    <Button
      label={label}
      icon={FileText}
      disabled={busy}
      onPress={() => void write()}
      testID={testID}
    />
  );
}

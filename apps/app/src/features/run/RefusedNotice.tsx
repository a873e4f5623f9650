import { runWords } from '@nucleon/core/words/screens/run';
import { counted } from '@nucleon/core/words/sentence';
import FileDown from 'lucide-react-native/icons/file-down';
import RefreshCw from 'lucide-react-native/icons/refresh-cw';
import { useEffect } from 'react';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { saveFile } from '../../ui/saveFile';
import { Small } from '../../ui/text';
import { refusedLog, useRefusals } from './refusals';

interface RefusedNoticeProps {
  /** One run alone; all of them without. */
  readonly runId?: string;
  /** Changes when something was refused: looks again. */
  readonly since?: number;
}

/** What the server will not have, with its reason: kept on this device, to be saved as a file or sent again. */
export function RefusedNotice({ runId, since = 0 }: RefusedNoticeProps) {
  const { runs: everyRun, pictures: everyPicture, look, tryAgain } = useRefusals();
  useEffect(() => {
    void look();
  }, [look, since]);
  const isAsked = (one: { readonly runId: string }): boolean =>
    runId === undefined || one.runId === runId;
  const runs = everyRun.filter(isAsked);
  const pictures = everyPicture.filter(isAsked);
  if (runs.length + pictures.length === 0) return null;
  const entries = runs.reduce((sum, { count }) => sum + count, 0);
  const what = [
    ...(entries > 0 ? [counted(entries, 'entry', 'entries')] : []),
    ...(pictures.length > 0 ? [counted(pictures.length, 'picture', 'pictures')] : []),
  ].join(' and ');
  const save = async (): Promise<void> => {
    if (runs.length > 0) {
      const text = `${JSON.stringify(await refusedLog(runs), null, 1)}\n`;
      saveFile('not-taken.nucleon-log.json', new Blob([text], { type: 'application/json' }));
    }
    for (const { photoId, picture } of pictures)
      saveFile(`${photoId}.${picture.type.split('/')[1] ?? 'jpg'}`, picture);
  };
  return (
    <Notice
      level="caution"
      title={runWords.notAllIsLogged}
      text={runWords.onThisDeviceFor(
        what,
        entries + pictures.length,
        runs[0]?.why ?? pictures[0]?.refused ?? '',
      )}
      testID="refused"
    >
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={runWords.saveAsFile}
          icon={FileDown}
          onPress={() => void save()}
          testID="refused-save"
        />
        <Button
          label={runWords.sendAgain}
          icon={RefreshCw}
          onPress={() => void tryAgain()}
          testID="refused-again"
        />
      </Row>
      <Small>{runWords.itIsSafeHere}</Small>
    </Notice>
  );
}

import { answersInLine } from '@nucleon/core/words/advice/startQuestions';
import { newHoleWords } from '@nucleon/core/words/screens/newHole';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import Repeat from 'lucide-react-native/icons/repeat-2';
import { useState } from 'react';
import { routes } from '../../routes';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { Label, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { lastStart } from '../newHole/lastStart';

/** What was started last on this device, to begin again with the same answers. */
export function LastStarted() {
  const router = useRouter();
  const units = useUnits();
  const [last] = useState(lastStart);
  if (!last) return null;
  const { answers, jobId } = last;
  const start = (query: { readonly jobId?: string }): void => {
    router.navigate(routes.newHole({ ...answers, ...query }));
  };
  return (
    <Panel padding="$3" gap="$2" testID="last-started">
      <Column>
        <Label>{newHoleWords.lastStarted}</Label>
        <Small>{answersInLine(answers, units)}</Small>
      </Column>
      <Row gap="$2" flexWrap="wrap">
        <Button
          label={newHoleWords.repeatLast}
          icon={Repeat}
          hint={newHoleWords.repeatInNewJob}
          onPress={() => {
            start({});
          }}
          testID="repeat-last"
        />
        <Button
          label={newHoleWords.anotherLikeThis}
          icon={Plus}
          hint={newHoleWords.anotherInSameJob}
          onPress={() => {
            start({ jobId });
          }}
          testID="another-like-this"
        />
      </Row>
    </Panel>
  );
}

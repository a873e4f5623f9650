import { uiWords } from '@nucleon/core/words/screens/ui';
import CloudOff from 'lucide-react-native/icons/cloud-off';
import { forgetRefusal, useNewThings } from '../api/newThings';
import { useReachable } from '../api/reachable';
import { Button } from './Button';
import { Icon } from './Icon';
import { Row } from './layout';
import { Small } from './text';

/** Said once over every screen while the server does not answer, or has not heard of all that was made here. */
export function OfflineBar() {
  const answered = useReachable((state) => state.answered);
  const { waiting, refused } = useNewThings();
  const said = [
    ...(answered ? [] : [uiWords.noServer]),
    ...(waiting.length > 0 ? [uiWords.newThingsWait(waiting.length)] : []),
    ...(refused === null ? [] : [uiWords.notTaken(refused)]),
  ];
  return said.length === 0 ? null : (
    <Row
      role="status"
      aria-live="polite"
      gap="$2"
      paddingHorizontal="$3"
      paddingVertical="$1"
      backgroundColor="$raised"
      borderBottomWidth={1}
      borderColor="$line"
      testID="offline"
    >
      <Icon of={CloudOff} tone="caution" size={16} />
      <Small flexShrink={1} fontSize="$1" lineHeight="$1">
        {said.join(' ')}
      </Small>
      {refused === null ? null : (
        <Button label={uiWords.allRight} look="quiet" onPress={forgetRefusal} />
      )}
    </Row>
  );
}

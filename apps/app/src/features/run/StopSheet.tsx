import { runWords } from '@nucleon/core/words/screens/run';
import Flag from 'lucide-react-native/icons/flag';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Column } from '../../ui/layout';
import { Body } from '../../ui/text';
import { BigButton } from './BigButton';

const REASONS = [
  runWords.bitIsDoneFor,
  runWords.foundSomethingInWay,
  runWords.notToday,
  runWords.unsafe,
] as const;

/** Ending a run before its time: it cracked, or it is given up and why. */
export function StopSheet({
  onCrack,
  onAbort,
}: {
  readonly onCrack: () => void;
  readonly onAbort: (why: string) => void;
}) {
  return (
    <Column padding="$3" gap="$3" testID="stop-sheet">
      <BigButton
        label={runWords.itCracked}
        icon={TriangleAlert}
        look="stop"
        tall
        onPress={onCrack}
        testID="cracked"
      />
      <Body fontSize={20} lineHeight={26}>
        {runWords.orGiveItUp}
      </Body>
      {REASONS.map((why) => (
        <Column key={why} height={76}>
          <BigButton
            label={why}
            icon={Flag}
            onPress={() => {
              onAbort(why);
            }}
            testID={`abort-${why}`}
          />
        </Column>
      ))}
    </Column>
  );
}

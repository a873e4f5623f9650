import { runWords } from '@nucleon/core/words/screens/run';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { Small } from '../../ui/text';
import { useBench } from './benchStore';

const ON_OFF = [
  { value: 'on', label: runWords.on },
  { value: 'off', label: runWords.off },
] as const;

/** How the run calls out, and which hand is free. */
export function BenchSheet() {
  const { speak, tones, vibrate, hand, set } = useBench();
  const onOff = (label: string, on: boolean, change: (on: boolean) => void, testID: string) => (
    <Chips
      label={label}
      chips={ON_OFF}
      value={on ? 'on' : 'off'}
      onChange={(value) => {
        change(value === 'on');
      }}
      testID={testID}
    />
  );
  return (
    <Column gap="$4" testID="bench">
      {onOff(
        runWords.spokenPrompts,
        speak,
        (on) => {
          set({ speak: on });
        },
        'bench-speak',
      )}
      {onOff(
        runWords.tones,
        tones,
        (on) => {
          set({ tones: on });
        },
        'bench-tones',
      )}
      {onOff(
        runWords.vibration,
        vibrate,
        (on) => {
          set({ vibrate: on });
        },
        'bench-vibrate',
      )}
      <Chips
        label={runWords.theHandOnScreen}
        chips={[
          { value: 'right', label: runWords.right },
          { value: 'left', label: runWords.left },
        ]}
        value={hand}
        onChange={(value) => {
          set({ hand: value });
        }}
        testID="bench-hand"
      />
      <Small>{runWords.keysAlsoThoseOf}</Small>
    </Column>
  );
}

import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { Small } from '../../ui/text';
import { useBench } from './benchStore';

const ON_OFF = [
  { value: 'on', label: 'On' },
  { value: 'off', label: 'Off' },
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
        'Spoken prompts',
        speak,
        (on) => {
          set({ speak: on });
        },
        'bench-speak',
      )}
      {onOff(
        'Tones',
        tones,
        (on) => {
          set({ tones: on });
        },
        'bench-tones',
      )}
      {onOff(
        'Vibration',
        vibrate,
        (on) => {
          set({ vibrate: on });
        },
        'bench-vibrate',
      )}
      <Chips
        label="The hand on the screen"
        chips={[
          { value: 'right', label: 'Right' },
          { value: 'left', label: 'Left' },
        ]}
        value={hand}
        onChange={(value) => {
          set({ hand: value });
        }}
        testID="bench-hand"
      />
      <Small>
        Keys, also those of a foot pedal: Space, Page Down or → for the big button; Page Up or ← to
        pause; T it is through; M measured; S signs; U take back.
      </Small>
    </Column>
  );
}

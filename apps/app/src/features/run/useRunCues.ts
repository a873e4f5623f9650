import { promptBetween, type Prompt } from '@nucleon/core/words/run/prompts';
import type { RunState } from '@nucleon/core/run/runState';
import { activateKeepAwakeAsync, deactivateKeepAwake } from 'expo-keep-awake';
import * as Speech from 'expo-speech';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useUnits } from '../display/displayStore';
import { useBench } from './benchStore';
import { CUE_SOUNDS, playCue } from './cues';

const AWAKE = 'nucleon-run';

/** Calls out what changes, to the one who drills or to the second person: spoken, by tone, by vibration, and as text for those who read the screen aloud. */
export function useRunCues(
  state: RunState,
  active: boolean,
  to: 'driller' | 'helper' = 'driller',
): string {
  const { speak, tones, vibrate } = useBench();
  const units = useUnits();
  const before = useRef(state);
  const sound = useRef<AudioContext | null>(null);
  const [said, setSaid] = useState('');

  const call = useCallback(
    ({ cue, words }: Prompt): void => {
      if (speak) Speech.speak(words, { language: 'en' });
      if (tones && typeof AudioContext !== 'undefined') {
        sound.current ??= new AudioContext();
        void sound.current.resume().catch(() => undefined);
        playCue(sound.current, cue);
      }
      if (vibrate && typeof navigator.vibrate === 'function')
        navigator.vibrate([...CUE_SOUNDS[cue].beats]);
    },
    [speak, tones, vibrate],
  );

  useEffect(() => {
    const was = before.current;
    before.current = state;
    if (!active || was === state) return;
    const prompt = promptBetween(was, state, units, to);
    if (!prompt) return;
    setSaid(prompt.words);
    call(prompt);
  }, [state, active, units, to, call]);

  useEffect(
    () => () => {
      void sound.current?.close();
      void Speech.stop();
    },
    [],
  );
  useAwake(active);
  return said;
}

/** Keeps the screen on while it drills; the browser lets go when the page is hidden, so it is asked again. */
function useAwake(active: boolean): void {
  useEffect(() => {
    if (!active) return undefined;
    const hold = (): void => {
      if (document.visibilityState === 'visible')
        activateKeepAwakeAsync(AWAKE).catch(() => undefined);
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      deactivateKeepAwake(AWAKE).catch(() => undefined);
    };
  }, [active]);
}

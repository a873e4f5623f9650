import type { Cue } from '@nucleon/core/words/run/prompts';

/** Each cue is told apart with eyes and hands elsewhere: tones as [Hz, ms], beats in ms on and off. */
export const CUE_SOUNDS = {
  lift: {
    tones: [
      [660, 120],
      [880, 160],
    ],
    beats: [80, 60, 80],
  },
  water: {
    tones: [
      [440, 180],
      [440, 180],
      [440, 180],
    ],
    beats: [60, 60, 60, 60, 60],
  },
  'ease-off': {
    tones: [
      [880, 200],
      [660, 200],
      [440, 320],
    ],
    beats: [300],
  },
  stop: {
    tones: [
      [300, 500],
      [300, 500],
    ],
    beats: [250, 120, 250, 120, 250],
  },
  go: { tones: [[520, 100]], beats: [50] },
  soon: {
    tones: [
      [720, 60],
      [720, 60],
    ],
    beats: [30, 60, 30],
  },
} as const satisfies Record<
  Cue,
  { readonly tones: readonly (readonly [number, number])[]; readonly beats: readonly number[] }
>;

const GAP_S = 0.05;
const LOUDNESS = 0.35;

/** Plays the tones of a cue; silent where the browser has no sound or has not been touched yet. */
export function playCue(context: AudioContext, cue: Cue): void {
  let at = context.currentTime + 0.02;
  for (const [hz, ms] of CUE_SOUNDS[cue].tones) {
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = hz;
    tone.type = 'triangle';
    const end = at + ms / 1000;
    volume.gain.setValueAtTime(0, at);
    volume.gain.linearRampToValueAtTime(LOUDNESS, at + 0.01);
    volume.gain.setValueAtTime(LOUDNESS, end - 0.02);
    volume.gain.linearRampToValueAtTime(0, end);
    tone.connect(volume).connect(context.destination);
    tone.start(at);
    tone.stop(end);
    at = end + GAP_S;
  }
}

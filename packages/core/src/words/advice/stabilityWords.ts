import type { Stability } from '../../advice/choice/stability';

export const STABILITY_WORDS: Readonly<Record<Stability, string>> = {
  firm: 'Lies firm',
  gives: 'Gives a little',
  sways: 'Sways under the drill',
};

import type { MarkKind } from '../../data/choices';
import type { MarkScene } from '../../layout/markKind';

/** How a hole is marked, and with what. */
export interface MarkAdvice {
  readonly kind: MarkKind;
  readonly title: string;
  readonly how: string;
  readonly with: string;
}

const TITLES: Record<MarkKind, string> = {
  dot: 'A dot',
  circle: 'A circle at the bit’s outside',
  ticks: 'Four ticks at the radius',
  'tape-cross': 'A cross on tape',
};

const HOW: Record<MarkKind, string> = {
  dot: 'One dot where the lines cross. The bit covers it: look once more from two sides before it touches.',
  circle:
    'Draw round the bit itself, or with compasses at its radius: the centre is gone with the first turn, the circle stays to steer by.',
  ticks:
    'Four short ticks, up, down, left and right, each one radius from the centre: the centre is gone with the first turn, the ticks stay to steer by.',
  'tape-cross':
    'Tape over the place first, then measure again on the tape: the cross goes through its middle, long enough to show beside the bit.',
};

export function markAdvice(kind: MarkKind, { materialClass, glossy }: MarkScene): MarkAdvice {
  const pen = glossy
    ? 'a waterproof fine marker: pencil and chalk wash off in the first minute'
    : materialClass === 'masonry'
      ? 'a mason’s pencil, gone over with a waterproof marker where water will run'
      : 'a scribed or waterproof line: pencil washes off in the first minute';
  return { kind, title: TITLES[kind], how: HOW[kind], with: `With ${pen}.` };
}

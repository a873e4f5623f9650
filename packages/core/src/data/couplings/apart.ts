/** How a joint is parted. */
export const APART_WAYS = ['hand', 'two-spanners', 'soft-ring', 'drift-key'] as const;
export type ApartWay = (typeof APART_WAYS)[number];

/** How each kind of joint is parted after a wet day. */
export const APART_WORDS: Readonly<Record<ApartWay, { label: string; text: string }>> = {
  hand: { label: 'By hand', text: 'Comes apart by hand.' },
  'two-spanners': {
    label: 'Two spanners',
    text: 'Two spanners on the flats, never a blow on the rim.',
  },
  'soft-ring': {
    label: 'Soft ring',
    text: 'A soft or copper ring, or a drop of oil, on the shoulder before joining: then it parts.',
  },
  'drift-key': {
    label: 'Drift key',
    text: 'A drift key through the slot pushes out the wedged pilot or taper.',
  },
};

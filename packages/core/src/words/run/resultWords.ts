import type { CrackSight, ForceFelt, PartFit, Verdict } from '../../data/choices';

export const VERDICT_WORDS = {
  fine: 'Fine',
  usable: 'Usable',
  spoiled: 'Spoiled',
} as const satisfies Record<Verdict, string>;

export const CRACK_WORDS = {
  none: 'None',
  hairline: 'A hairline',
  broken: 'It broke',
} as const satisfies Record<CrackSight, string>;

export const FORCE_WORDS = {
  lighter: 'Lighter',
  'as-planned': 'As planned',
  harder: 'Harder',
} as const satisfies Record<ForceFelt, string>;

export const PART_FIT_WORDS = {
  fits: 'Fits',
  tight: 'Too tight',
  loose: 'Loose',
  'not-tried': 'Not tried',
} as const satisfies Record<PartFit, string>;

/** Wet slate, rinse water, milky slurry, one warm signal: what the diamond touches. */
export interface Palette {
  readonly ground: string;
  readonly surface: string;
  /** A step further forward than surface: fields, pressed rows. */
  readonly raised: string;
  readonly ink: string;
  readonly muted: string;
  readonly line: string;
  readonly water: string;
  readonly waterWash: string;
  readonly onWater: string;
  readonly rim: string;
  readonly stop: string;
  readonly stopWash: string;
  readonly caution: string;
  readonly cautionWash: string;
  readonly fine: string;
}

export const LIGHT: Palette = {
  ground: '#F3F1EC',
  surface: '#FBFAF7',
  raised: '#E9E6DE',
  ink: '#16232B',
  muted: '#4C5D66',
  line: '#CBC8BE',
  water: '#0A6373',
  waterWash: '#DCEAEA',
  onWater: '#FBFAF7',
  rim: '#A2460F',
  stop: '#9B1520',
  stopWash: '#F6E1DF',
  caution: '#7A4E00',
  cautionWash: '#F5EAD2',
  fine: '#1B6236',
};

export const DARK: Palette = {
  ground: '#10191E',
  surface: '#17242B',
  raised: '#21323A',
  ink: '#EAF0EF',
  muted: '#A5B7BD',
  line: '#35464E',
  water: '#6CCBDA',
  waterWash: '#16363E',
  onWater: '#0C161B',
  rim: '#F29B63',
  stop: '#FF8A86',
  stopWash: '#3A2226',
  caution: '#F2B84B',
  cautionWash: '#352C1A',
  fine: '#86D6A1',
};

/** Fills of the section drawing, apart from the interface: bodies, backings and the bit. */
export const BODIES = {
  light: {
    glass: '#CFE3E2',
    ceramic: '#DDCDBD',
    stone: '#BFC3C2',
    masonry: '#D2B29E',
    soft: '#DAD6C8',
    wood: '#DCC398',
    hard: '#B4BCBE',
    grain: '#DDD2B4',
    barrel: '#7C8A90',
    core: '#CFE3E2',
    part: '#9AA9AE',
    gasket: '#5E6A5C',
    turbidity: '#EDEFEA',
    bath: '#A9D3D9',
  },
  dark: {
    glass: '#35565A',
    ceramic: '#5C4C40',
    stone: '#4A545A',
    masonry: '#66493B',
    soft: '#3B4238',
    wood: '#5A4A2C',
    hard: '#4B575D',
    grain: '#544C36',
    barrel: '#93A2A8',
    core: '#35565A',
    part: '#8596A0',
    gasket: '#A9B39A',
    turbidity: '#0F181C',
    bath: '#1D4B56',
  },
} as const;

/** Theme, units, bench. */
export const displayWords = {
  whoDrills: 'Who drills with this device',
  whoDrillsWhy:
    'Runs name them, and the log compares each hand by itself. Leave it empty where it does not matter.',
  tapeReads: 'Tape reads to',
  sixteenths: 'Sixteenths',
  thirtySeconds: 'Thirty-seconds',
  display: 'Display',
  onThisDevice: 'On this device',
  lightOrDark: 'Light or dark',
  asDevice: 'As the device',
  light: 'Light',
  dark: 'Dark',
  letters: 'Letters',
  asBrowser: 'As the browser',
  larger: 'Larger by half',
  twiceAsLarge: 'Twice as large',
  lengths: 'Lengths',
  millimetres: 'Millimetres',
  inches: 'Inches',
  force: 'Force',
  newton: 'Newton',
  kilogramForce: 'Kilogram-force',
  poundForce: 'Pound-force',
  money: 'Money',
  moneyWhy: 'Three letters, such as EUR, GBP or USD. Left empty, figures stand alone.',
  noSuchCurrency: (text: string): string =>
    `“${text}” is no currency. Type its three letters, such as EUR, or nothing.`,
  aPanePressedWith: (example: string, example2: string): string =>
    `A ${example} pane, pressed with ${example2}. You can type either unit anywhere: 6 mm or 1/4 in.`,
  atBench: 'At the bench',
};

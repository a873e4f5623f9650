/** Water. */
export const waterWords = {
  eachCellIsOne: (said: string): string =>
    `${said} Each cell is one hole more, the ring your mark through the water, the number the light that is left, of 100.`,
  withDrySpell: 'With the dry spell',
  asPlanned: 'As planned',
  allowableStress: 'Allowable stress',
  temperatureOfRingAbove: (maxWetK: string, maxDryK: string): string =>
    `Temperature of the ring above the water: at most ${maxWetK} as planned, ${maxDryK} with the dry spell.`,
  sDry: (seconds: number): string => `${seconds} s dry`,
  theWater: 'the water',
  howClearItStays: 'How clear it stays',
  howHotRingRuns: 'How hot the ring runs',
  ifWaterFailsHalf: 'If the water fails half way for',
  theChart: 'the chart',
  liftsShowAsDips:
    'Lifts show as dips. The ring is followed by finite volumes under the rim; see docs/model.md.',
  stop: (message: string): string => `Stop: ${message}`,
  waterAndPower: 'Water and power',
  waterMethod: 'Water method',
  theMeans: 'the means',
  overFace: 'Over the face',
  trayLong: 'Tray length',
  notMeasured: 'not measured',
  trayWide: 'Tray width',
  use: 'Use',
  useOne: (one: string): string => `Use ${one}`,
  outcome: (tempRise: string, crackOdds: string, time: string | null): string =>
    `Ring ${tempRise} hotter · cracks ${crackOdds} · ${time ?? 'does not cut'}`,
};

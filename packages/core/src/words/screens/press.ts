/** Feed force. */
export const pressWords = {
  tearsOutAbove: 'Tears out above',
  polishesBelow: 'Polishes below',
  howHardToPress: 'How hard to press. Arrow keys: up for harder, down for lighter.',
  keepItInBand: 'Keep it in the band. Let go when you have had enough.',
  holdFingerOnPad: 'Hold a finger on the pad: higher is harder.',
  harder: 'Harder',
  lighter: 'Lighter',
  letGo: 'Let go',
  pressWithoutPad: 'Press without the pad',
  pretendScale: 'Pretend scale',
  myBathroomScale: 'My bathroom scale',
  practiseIt: 'Practise it',
  betweenAndItCuts: (min: string, max: string, wanted: string): string =>
    `Between ${min} and ${max} it cuts well; aim for ${wanted}.`,
  on: 'On',
  scaleOnBenchBlock:
    'Scale on the bench, a block of wood on it. Press as if drilling for half a minute, eyes on the block, and have someone read the scale.',
  minItShowed: (unit: string): string => `Lowest reading, ${unit}`,
  maxItShowed: (unit: string): string => `Highest reading, ${unit}`,
  feedForce: 'Feed force',
  theForce: 'the force',
  pressWith: 'Press with',
  withDrillRestingOn: (unit: string): string =>
    `With the drill resting on it, the scale shows, ${unit}`,
  theDrillsOwnWeight: 'The drill’s own weight presses too: add to what the scale shows already.',
  inArms: 'In the arms',
  atHandle: 'At the handle',
  measureItInKit: 'Measure it, in the kit',
  helpedBy: 'Helped by',
  howLongArmsHold:
    'How long arms hold a steady push follows Rohmert’s curve, for a maximum of about two thirds of your body weight; people differ by a third.',
};

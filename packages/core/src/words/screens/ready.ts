/** The ready check. */
export const readyWords = {
  thePackingList: 'the packing list',
  readyCheck: 'Ready check',
  toBench: 'To the bench',
  stopped: 'Stopped',
  toSeeTo: (open: number): string => `${open} to see to`,
  aRunOfThis: 'a run of this hole is under way',
  itIsKeptAs: 'It is kept as it stood.',
  goOnWithIt: 'Go on with it',
  acknowledgedForThisHole: 'Acknowledged for this hole',
  beforeMotorStarts: 'Before the motor starts',
  ticksForDayAnd: 'Ticks for the day and the job are remembered on this device.',
  list: 'List',
  checkIt: 'Check it',
  marks: 'Marks',
  show: 'Show',
};

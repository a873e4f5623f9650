/** The ready check. */
export const readyWords = {
  thePackingList: 'the packing list',
  readyCheck: 'Ready check',
  toBench: 'To the bench',
  stopped: 'Stopped',
  toSeeTo: (open: number): string => `${open} left to check`,
  aRunOfThis: 'a run of this hole is under way',
  itIsKeptAs: 'It is kept as it was.',
  goOnWithIt: 'Go on with it',
  beforeMotorStarts: 'Before the motor starts',
  ticksForDayAnd:
    'Ticks are remembered on this device: for the day, for the job, or until this run begins.',
  list: 'List',
  checkIt: 'Check it',
  marks: 'Marks',
  show: 'Show',
};

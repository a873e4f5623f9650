/** The depth plan. */
export const throughWords = {
  start: 'Start',
  about: (total: string): string => `about ${total}`,
  depthPlan: 'Depth plan',
  theDepthPlan: 'the depth plan',
  atThisPressureIt: 'At this pressure it does not cut all the way: press more, then come back.',
  inThisOrder: 'In this order',
  drawnFromNearFace: 'Drawn from the near face; after turning it over, the rest.',
  shutWaterBeforeFar: 'Shut the water before the far face by',
  zeroLeavesItRunning: '0 leaves it running: for a wall with nothing behind it that minds.',
};

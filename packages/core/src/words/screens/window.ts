/** The working window. */
export const windowWords = {
  speedRpm: 'Speed, rpm',
  forceUpwards: (force: string): string => `Force, ${force}, upwards`,
  speedAndForceOf:
    'Speed and force of the plan. Arrow keys: left and right for speed, up and down for force.',
  workingWindow: 'Working window',
  theWindow: 'the window',
  hasFixedSpeedsPoint: (machineName: string): string =>
    `${machineName} has fixed speeds: the point keeps to its lines.`,
  force: (force: string): string => `Force, ${force}`,
  backToPacesOwn: 'Back to the suggested pace',
  forIn: (bitName: string): string => `For ${bitName} in `,
  byDragPointAnd: (name: string): string => `, by ${name}. Drag the point, and the plan follows.`,
  bordersAreSoftBecause:
    'Borders are soft because hands, bits and pieces differ: the pale edge reaches one standard deviation to either side.',
};

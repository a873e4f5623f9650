/** Said on several screens alike. */
export const commonWords = {
  newHole: 'new hole',
  close: 'Close',
  allJobs: 'all jobs',
  theJob: 'the job',
  hole: 'Hole',
  stop: 'Stop',
  name: 'Name',
  itsRuns: 'Its runs',
  water: 'Water',
  material: 'Material',
  diameter: 'Diameter',
  useThis: 'Use this',
  thePlan: 'the plan',
  inPlan: 'In the plan',
  fromLeft: 'From the left',
  helpMeFindOut: 'Help me find out',
};

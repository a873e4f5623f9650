/** Materials of one’s own. */
export const materialsWords = {
  holdsSilica: 'Holds silica',
  plain: 'Plain',
  shell: 'Shell',
  softAndGritty: 'Soft and gritty',
  inBetween: 'In between',
  hardAndClose: 'Hard and close',
  isNotColourWrite: (finesColour: string): string =>
    `“${finesColour}” is not a colour; write one such as #A1B2C3.`,
  materialsOfThisJob: 'Materials of this job',
  theMaterials: 'the materials',
  whenStoneOrBody:
    'When a stone or body drills differently from its name, copy the nearest and correct what you know. Plans here, on the server and in the saved file use it alike.',
  noneYet: 'None yet',
  startFromOneThat: 'Start from the one that comes nearest.',
  makeItFrom: 'Copy from',
  makeOneFromCopy: 'Make one from a copy',
  fromThisJob: ' from this job',
  ourOwn: (from: string): string => `${from}, our own`,
};

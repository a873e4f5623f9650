import { counted } from '../sentence';

/** The list of jobs. */
export const jobsWords = {
  itCouldNotBe: 'It could not be opened.',
  isNotJson: (name: string): string => `“${name}” is not JSON.`,
  wasNotOpenedNothing: (name: string): string => `“${name}” was not opened; nothing was changed.`,
  runOf: (run: string, why: string): string => `Run of ${run}: ${why}`,
  isOpenInIt: (file: string, count: number): string =>
    `“${file}” is open. ${count} ${count === 1 ? 'thing' : 'things'} in it ${count === 1 ? 'was' : 'were'} left.`,
  opening: 'Opening…',
  openJobFile: 'Open a job file',
  opened: 'opened',
  andMore: (count: number): string => `and ${count} more.`,
  goToJob: 'Go to the job',
  stopped: (stoppedCount: number): string => `${counted(stoppedCount, 'hole')} stopped`,
  nucleon: 'Nucleon',
  holesWithDiamondAnd: 'Holes with diamond and water',
  newHole: 'New hole',
  searchJobsAndPieces: 'Search jobs and pieces',
  yourJobs: 'your jobs',
  nothingByThatName: 'Nothing by that name',
  noJobOrPiece: (asked: string): string => `No job or piece has “${asked}” in its name.`,
  noJobsYet: 'No jobs yet',
  sayWhatYouHave: 'Say what you have and what size of hole it needs. A plan takes under a minute.',
  fetching: 'Fetching…',
  moreJobs: 'More jobs',
  deletedJobs: 'Deleted jobs',
};

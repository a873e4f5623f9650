/** What each answer of the server is kept under: one place, so that a change forgets all that depends on it. */
export const keys = {
  jobs: (search?: string) => (search === undefined ? ['jobs'] : ['jobs', search]),
  bench: () => ['bench'],
  job: (jobId?: string) => (jobId === undefined ? ['job'] : ['job', jobId]),
  bin: (jobId?: string) => (jobId === undefined ? ['bin'] : ['bin', jobId]),
  hole: (holeId: string) => ['hole', holeId],
  coverage: (holeId: string) => ['hole', holeId, 'coverage'],
  layout: (pieceId: string) => ['layout', pieceId],
  bits: () => ['bits'],
  machines: () => ['machines'],
  parts: () => ['parts'],
  house: () => ['house'],
  learning: () => ['learning'],
  runs: (filter?: object) => (filter === undefined ? ['runs'] : ['runs', filter]),
} as const;

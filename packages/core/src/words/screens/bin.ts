/** The bin: what was deleted. */
export const binWords = {
  bin: 'Bin',
  jobsThatWereDeleted: 'Jobs that were deleted',
  deletedFromThisJob: 'Deleted from this job',
  theBin: 'the bin',
  theBinIsEmpty: 'The bin is empty',
  whatIsDeletedLies: (binDays: number): string =>
    `What is deleted lies here for ${binDays} days, and can be brought back in any order.`,
  broughtBackHoleBrings: 'Brought back, a hole brings along the piece and the job it is in.',
  noName: 'No name',
  holeOf: (pieceName: string | undefined): string => `Hole of ${pieceName ?? 'a piece'}`,
  piece: 'Piece',
  job: 'Job',
  deletedKeptUntil: (deletedAt: string, emptiedAt: string): string =>
    `, deleted ${deletedAt}, kept until ${emptiedAt}`,
  bringBack: 'Bring back',
};

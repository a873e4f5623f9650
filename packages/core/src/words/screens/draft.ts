/** Keeping what is typed, and what two people changed at once. */
export const draftWords = {
  notOnServerYet: 'Not on the server yet',
  whatYouIsKept: (message: string, done: string): string =>
    `${message} What you ${done} is kept on this device and sent when it is back.`,
  notSaved: 'Not saved',
  changedElsewhere: 'Changed elsewhere',
  someoneChangedSameAfter:
    'Someone changed the same after you opened this. Everything else of yours and theirs is kept. Choose one; Undo gives the other.',
  keepMine: 'Keep mine',
  takeTheirs: 'Take theirs',
  deletedElsewhere: 'Deleted elsewhere',
  bringItBack: 'Bring it back',
  itCouldNotBe: 'It could not be brought back.',
  yours: 'Yours',
  theirs: 'Theirs',
  andMore: (more: number): string => `And ${more} more.`,
  saving: 'Saving…',
  triedOnly: 'Tried, not kept',
  saved: 'Saved',
  keptHere: 'Kept here',
};

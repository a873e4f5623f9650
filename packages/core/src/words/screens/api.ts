/** What is said when the server does not answer as hoped. */
export const apiWords = {
  theServerCannotBe: 'The server cannot be reached.',
  theServerCannotReach: 'The server cannot reach its database.',
  theServerIsBusy: 'The server is busy.',
  signInFirst: 'Sign in first; it is sent then.',
  theServersDiskIsFull: 'The server’s disk is full.',
  itWasNotSaved: 'It was not saved.',
  itCouldNotBe: 'It could not be deleted.',
  deleted: (name: string, from: string): string => `Deleted “${name}”${from}.`,
};

/** Alternatives to drilling. */
export const insteadWords = {
  alternatives: 'Alternatives',
  notAsItStands: 'Not as it stands',
  somethingMustBeCleared: 'Something must be cleared first, or it is not to be drilled at all.',
  theOddsArePoor: 'The odds are poor',
  itCanBeDrilled: 'It can be drilled, but look at these first.',
  nothingSpeaksAgainstIt: 'Nothing speaks against it',
  itCanBeDrilledAs:
    'It can be drilled as planned. If you would still rather not, here are the alternatives.',
  theOdds: 'the odds',
  itCouldNotBe: 'It could not be added.',
  otherWays: 'Other ways',
  addPracticePieceFirst: 'Add a practice piece first in the job',
};

/**
 * Where the core may hold English, below `packages/core/src/`: rooms above the numbers, and tables whose rows have their
 * words as columns (names, notes, sources). A purpose says itself, handed how numbers are written.
 */
module.exports =
  /^(words|drawing|documents|data|layout\/purposes|advice\/evidence)\/|^advice\/identify\/(glass|stone|ceramic|masonry|scratchLadder)\.ts$|^setup\/schools\.ts$|^layout\/(edgeRules|tapes)\.ts$|^physics\/cutting\/pauses\.ts$/;

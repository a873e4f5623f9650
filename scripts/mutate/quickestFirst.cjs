/** The quickest suites first: what they see, no slow one is run for. */
const { default: Sequencer } = require('@jest/test-sequencer');
const UntilFailure = require('./untilFailure.cjs');

module.exports = class QuickestFirst extends Sequencer {
  sort(tests) {
    // Once for each mutant.
    UntilFailure.begin();
    const seconds = (test) => test.duration ?? Infinity;
    return super.sort(tests).toSorted((one, other) => seconds(one) - seconds(other));
  }
};

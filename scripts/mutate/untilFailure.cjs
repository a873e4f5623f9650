/** A mutant is seen by the first test that fails: the rest of them need not be run. */
const { TestEnvironment } = require('jest-environment-node');

let hasFailed = false;

module.exports = class UntilFailure extends TestEnvironment {
  static begin() {
    hasFailed = false;
  }

  handleTestEvent(event) {
    if (event.name === 'test_fn_failure') hasFailed = true;
    if (event.name === 'test_start' && hasFailed) event.test.mode = 'skip';
  }
};

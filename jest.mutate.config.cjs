/** A room's own tests: what it gets wrong, they must see. Those that drill hundreds of whole jobs are left out. */
const { existsSync } = require('node:fs');
const [core] = require('./jest.config.cjs').projects;

const ROOMS = (process.env.NUCLEON_MUTATE ?? 'physics,plan,run,layout').split(',');

module.exports = {
  ...core,
  rootDir: __dirname,
  testEnvironment: require.resolve('./scripts/mutate/untilFailure.cjs'),
  testSequencer: require.resolve('./scripts/mutate/quickestFirst.cjs'),
  testMatch: ROOMS.map((room) =>
    existsSync(`packages/core/src/${room}.ts`)
      ? `**/packages/core/src/${room}.test.ts`
      : `**/packages/core/src/${room}/**/*.test.ts`,
  ),
  testPathIgnorePatterns: ['everyJob'],
};

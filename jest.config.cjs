/** Core, contract, server and command line run in plain Node; the app under jest-expo. */
const node = (displayName, root) => ({
  displayName,
  testEnvironment: 'node',
  rootDir: __dirname,
  roots: [`<rootDir>/${root}`],
  testMatch: ['**/*.test.ts'],
  setupFilesAfterEnv: ['<rootDir>/jest.timeout.cjs'],
  transform: { '^.+\\.[cm]?[jt]s$': ['babel-jest', { configFile: './babel.jest.cjs' }] },
  // A test’s own world is slow to look up what the language brings.
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array', 'Float64Array', 'Infinity'],
  transformIgnorePatterns: ['node_modules/(?!(uuid|delaunator|robust-predicates)/)'],
});

module.exports = {
  // Half of the suites wait for a database or another process: no core is left without one.
  maxWorkers: '100%',
  projects: [
    node('core', 'packages/core/src'),
    node('contract', 'packages/contract/src'),
    node('files', 'packages/files/src'),
    {
      ...node('server', 'apps/server/src'),
      globalSetup: '<rootDir>/apps/server/jest.setup.mjs',
      globalTeardown: '<rootDir>/apps/server/jest.teardown.mjs',
    },
    node('cli', 'cli/src'),
    node('scripts', 'scripts'),
    '<rootDir>/apps/app/jest.config.cjs',
  ],
};

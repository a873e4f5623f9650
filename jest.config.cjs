/** Core, contract, server and command line run in plain Node; the app under jest-expo. */
const node = (displayName, root) => ({
  displayName,
  testEnvironment: 'node',
  rootDir: __dirname,
  roots: [`<rootDir>/${root}`],
  testMatch: ['**/*.test.ts'],
  setupFilesAfterEnv: ['<rootDir>/jest.timeout.cjs'],
  transform: { '^.+\\.[cm]?[jt]s$': ['babel-jest', { configFile: './babel.jest.cjs' }] },
  transformIgnorePatterns: ['node_modules/(?!(uuid|delaunator|robust-predicates)/)'],
});

module.exports = {
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
    '<rootDir>/apps/app/jest.config.cjs',
  ],
};

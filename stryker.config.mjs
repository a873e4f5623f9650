import { existsSync } from 'node:fs';

/**
 * Mutation testing of the rooms that hold the numbers: `npm run mutate -- physics/water`, several or all, or of one
 * file: `npm run mutate -- plan/planCut`. What a room gets wrong, its own tests must see; what a file does, its own.
 */
const ROOMS = (process.env.NUCLEON_MUTATE ?? 'physics,plan,run,layout').split(',');

export default {
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner', './scripts/setup/numbersOnly.mjs'],
  ignorers: ['numbers-only'],
  jest: {
    projectType: 'custom',
    configFile: 'jest.mutate.config.cjs',
    enableFindRelatedTests: true,
  },
  // Test files work out their cases as they load, before any test begins: by test such mutants would look unseen.
  coverageAnalysis: 'all',
  mutate: [
    ...ROOMS.map((room) => `packages/core/src/${room}`).map((path) =>
      existsSync(`${path}.ts`) ? `${path}.ts` : `${path}/**/*.ts`,
    ),
    '!**/*.test.ts',
    '!**/*Fixtures.ts',
  ],
  // A formula, a condition, a comparison, a constant: what a number depends on.
  mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral', 'ArrayDeclaration'] },
  ignorePatterns: ['.data', 'apps', 'e2e', 'docs', 'demo', 'test-results'],
  tempDirName: '.stryker-tmp',
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, reportTests: false, reportMutants: false },
  jsonReporter: { fileName: 'test-results/mutation.json' },
  concurrency: 2,
  timeoutMS: 10_000,
};

/**
 * What the page itself loads, types aside: it calculates no plan. Plans, bending and learning are a worker's or the
 * server's, so that nothing stutters under a finger and the page stays small.
 */
const { options } = require('./.dependency-cruiser.cjs');

module.exports = {
  forbidden: [
    {
      name: 'page-calculates-no-plan',
      severity: 'error',
      from: { path: '^apps/app/app/' },
      to: {
        path: '^packages/core/src/(plan/workOut|plan/contextOf|physics/plate|run/learning/learn)',
        reachable: true,
      },
    },
  ],
  options: { ...options, tsPreCompilationDeps: false },
};

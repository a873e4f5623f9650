/** Imports run one way: core <- contract <- apps, cli; inside core down this list, never up. */
const TIERS = [
  'math',
  'data',
  'documents',
  'physics',
  'layout',
  'setup',
  'plan',
  'advice',
  'run',
  'words',
  'drawing',
];
const room = (names) => `^packages/core/src/(${names.join('|')})/`;

const oneWay = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '(\\.test|Fixtures)\\.ts$' },
  to: { path: to },
});

module.exports = {
  forbidden: [
    { name: 'no-cycle', severity: 'error', from: {}, to: { circular: true } },
    oneWay(
      'core-is-pure',
      '^packages/core',
      '^(packages/(contract|files)|apps|cli|node_modules/(?!delaunator|@sinclair))',
    ),
    oneWay('files-on-core', '^packages/files', '^(packages/contract|apps|cli)'),
    oneWay('contract-below-apps', '^packages/contract', '^(apps|cli)'),
    oneWay('server-apart-from-app', '^apps/server', '^(apps/app|cli)'),
    oneWay('app-apart-from-server', '^apps/app', '^(apps/server|cli)'),
    oneWay('cli-apart', '^cli', '^apps'),
    ...TIERS.slice(0, -1).map((name, tier) =>
      oneWay(`${name}-below-the-rest`, room([name]), room(TIERS.slice(tier + 1))),
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(node_modules/(?!@nucleon)|dist/|\\.expo/)' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};

/** Imports run one way: core <- contract <- apps, cli; inside core from quantities up to files. */
const room = (names) => `^packages/core/src/(${names})/`;
const BASE = 'units|numeric|random|geometry|drawing|reason';
const PHYSICS =
  'materials|bits|machines|couplings|supports|coolants|job|cutting|effort|heat|holding|plate|water|breakthrough|wear|risk|purposes|identify|layout|hazards|signs';
const PLAN = 'plan|choice|run';
const OUT = 'section|files|evidence';

const oneWay = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: '\\.test\\.ts$' },
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
    // Documents know the tables whose rows they name, and nothing that reckons.
    {
      name: 'documents-on-tables',
      severity: 'error',
      from: { path: room('documents') },
      to: {
        path: '^packages/core/src/',
        pathNot:
          '^packages/core/src/(documents/|bits/bitFamilies|coolants/coolants|supports/supports|machines/(machineKinds|feedAids)|couplings/(connections|apart)|signs/signs|plan/plan\\.ts)',
      },
    },
    oneWay('base-below-physics', room(BASE), room(`${PHYSICS}|${PLAN}|${OUT}`)),
    oneWay('physics-below-plan', room(PHYSICS), room(`${PLAN}|${OUT}`)),
    oneWay('plan-below-out', room(PLAN), room(OUT)),
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

/** Arrows point one way: app -> ui, server -> db, core; ui and workers -> core; core -> nothing. */
const rule = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    rule('core-knows-nothing-else', '^src/core', '^(src/(db|server|app|ui|workers)|cli|scripts)'),
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core', pathNot: '([.]test[.]ts$|^src/core/tests/)' },
      to: { path: 'node_modules', pathNot: 'node_modules/(zod|papaparse|@types/papaparse)' },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^src/core', pathNot: '[.]test[.]ts$' },
      to: { dependencyTypes: ['core'] },
    },
    rule('db-knows-core-only', '^src/db', '^src/(server|app|ui|workers)'),
    rule('server-below-app', '^src/server', '^src/(app|ui|workers)'),
    rule('ui-never-touches-db', '^src/ui', '^src/(db|server|app)'),
    rule('workers-know-core', '^src/workers', '^src/(db|server|app|ui)'),
    rule('cli-needs-no-database', '^cli', '^src/(db|server|app|ui|workers)'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};

/**
 * Arrows point one way. Of the core's rooms each may use only those that stand before it in this list; types count as much as values, and nothing goes round in a circle.
 */
const rooms = [
  'quantity',
  'trade',
  'records',
  'figures',
  'circuit',
  'sets',
  'fix',
  'solver',
  'wiring',
  'simulate',
  'bill',
  'drawing',
  'rungs',
  'evaluate',
  'words',
  'decide',
  'guide',
  'bench',
  'intake',
];

const rule = (name, from, to) => ({ name, severity: 'error', from, to });
const test = '([.]test[.]ts$|^src/core/tests/)';

module.exports = {
  forbidden: [
    rule('no-circles', {}, { circular: true }),
    // Tests of a room may take what they need from anywhere.
    ...rooms
      .slice(0, -1)
      .map((room, i) =>
        rule(
          `${room}-uses-only-rooms-before-it`,
          { path: `^src/core/${room}/`, pathNot: test },
          { path: `^src/core/(${rooms.slice(i + 1).join('|')}|index|tests)` },
        ),
      ),
    rule('every-file-is-in-a-room', { path: `^src/core/(?!(${rooms.join('|')}|tests)/|index[.]ts$)` }, {}),
    rule(
      'core-knows-nothing-else',
      { path: '^src/core', pathNot: test },
      { path: '^(src/(db|server|app|ui|workers|highs)|cli|scripts)' },
    ),
    rule(
      'core-is-pure',
      { path: '^src/core', pathNot: test },
      {
        path: 'node_modules',
        pathNot: 'node_modules/(zod|papaparse|@types/papaparse|parse5|entities|fast-deep-equal)',
      },
    ),
    rule(
      'links-fetch-nothing-ahead',
      { path: '^src/(app|ui)', pathNot: '^src/ui/frame/Link[.]tsx$' },
      { path: 'node_modules/next/(dist/client/app-dir/)?link' },
    ),
    rule('core-no-node', { path: '^src/core', pathNot: test }, { dependencyTypes: ['core'] }),
    rule(
      'the-core-has-one-door',
      { path: '^(src/(db|server|app|ui|workers|highs)|cli)', pathNot: '[.]test[.]tsx?$' },
      { path: '^src/core/', pathNot: '^src/core/index[.]ts$' },
    ),
    rule('db-knows-core-only', { path: '^src/db' }, { path: '^src/(server|app|ui|workers)' }),
    rule('server-below-app', { path: '^src/server' }, { path: '^src/(app|ui|workers)' }),
    rule('ui-never-touches-db', { path: '^src/ui' }, { path: '^src/(db|server|app)' }),
    rule('workers-know-core-and-highs', { path: '^src/workers' }, { path: '^src/(db|server|app|ui)' }),
    rule('highs-knows-core', { path: '^src/highs' }, { path: '^src/(db|server|app|ui|workers)' }),
    rule('cli-needs-no-database', { path: '^cli' }, { path: '^src/(db|server|app|ui|workers)' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
};

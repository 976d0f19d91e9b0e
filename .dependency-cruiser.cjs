/** The boundaries of docs/decisions/0002: pages → services → repositories and core; islands → contracts and core; core → nothing. */
const forbid = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-alone',
      severity: 'error',
      from: { path: 'src/core', pathNot: '\\.test\\.ts$' },
      to: { path: '.', pathNot: ['src/core', 'node_modules/jsep'] },
    },
    forbid('contracts-know-core-only', 'src/contracts', 'src/(server|islands|pages|cli|components|layouts|workers)'),
    forbid('messages-know-core-only', 'src/messages', 'src/(server|islands|pages|cli|components|layouts|workers)'),
    forbid('islands-stay-in-the-browser', 'src/islands', 'src/(server|pages|cli)'),
    {
      name: 'sequelize-in-db-only',
      severity: 'error',
      from: { path: 'src', pathNot: ['src/server/db', 'src/server/services', '\\.test\\.ts$'] },
      to: { path: 'node_modules/(sequelize|umzug|pg)/' },
    },
    forbid('repositories-know-no-services', 'src/server/db', 'src/server/(services|http|post)'),
    forbid('pages-ask-services', 'src/pages', 'src/server/db/(models|tables|migrations)'),
    forbid('services-know-no-pages', 'src/server', 'src/(pages|islands/[^/]+/[A-Z]|components|layouts|cli)'),
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.d.ts'],
    },
  },
};

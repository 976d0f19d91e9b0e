/**
 * The boundaries of docs/architecture.md: pages → services → repositories and core; islands → contracts and core; core → nothing.
 * Inside the core each folder imports only from those above it in LAYERS. Type imports count as any other.
 * Every rule has a file in tests/tools/violating that breaks it; the check fails when one of them is not caught.
 */
const LAYERS = [
  'outcome.ts',
  'message.ts',
  'ordering.ts',
  'chance.ts',
  'remembering.ts',
  'languages.ts',
  'contentVersion.ts',
  'numbers/',
  'calendar/',
  'sounds/',
  'words/',
  'songs/',
  'games/',
  'page/',
  'cautions/',
  'expressions/',
  'materials/',
  'session/',
  'search/',
  'time/',
  'families/',
  'homes/',
  'makers/',
  'shelf/',
  'ladders/',
  'guide/',
  'checks/',
  'print/',
  'terms/',
];
const TESTS = '\\.(test|fixture)\\.ts$';
const escaped = (text) => text.replace('.', '\\.');

const forbid = (name, from, to, fromNot = TESTS) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: fromNot },
  to: { path: to },
});

const layerRules = LAYERS.slice(0, -1).map((layer, index) =>
  forbid(
    `core-layer-${layer.replace(/\W.*/, '')}`,
    `src/core/${escaped(layer)}`,
    `src/core/(${LAYERS.slice(index + 1)
      .map(escaped)
      .join('|')})`,
  ),
);

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-alone',
      severity: 'error',
      from: { path: 'src/core', pathNot: '\\.test\\.ts$' },
      to: {
        path: '.',
        pathNot: [
          'src/core',
          'node_modules/(jsep|date-fns|@date-fns|pure-rand|node-diff3|syllable|minisearch|mdast-util-[a-z-]+|hast-util-to-html|@types/mdast)/',
        ],
      },
    },
    {
      name: 'core-folders-have-a-layer',
      severity: 'error',
      from: {},
      to: { path: 'src/core/', pathNot: LAYERS.map((layer) => `src/core/${escaped(layer)}`) },
    },
    ...layerRules,
    {
      // A folder's index is its public surface; tests may look at what they are about.
      name: 'core-through-its-index',
      severity: 'error',
      from: { path: '^(?!.*src/core/)', pathNot: TESTS },
      to: { path: 'src/core/[^/]+/', pathNot: 'src/core/[^/]+/index\\.ts$' },
    },
    {
      name: 'core-folder-through-its-index',
      severity: 'error',
      from: { path: 'src/core/([^/]+)/', pathNot: TESTS },
      to: { path: 'src/core/[^/]+/', pathNot: ['src/core/[^/]+/index\\.ts$', 'src/core/$1/'] },
    },
    {
      name: 'no-folder-through-its-own-index',
      severity: 'error',
      from: { path: 'src/core/([^/]+)/' },
      to: { path: 'src/core/$1/index\\.ts$' },
    },
    {
      // A maker's folder: pure by the core's rules, and no maker knows another; the registry beside the folders is generated.
      name: 'makers-stand-alone',
      severity: 'error',
      from: { path: 'src/makers/([^/]+)/', pathNot: TESTS },
      to: { path: '.', pathNot: ['src/core', 'src/makers/$1/', 'node_modules/pure-rand/'] },
    },
    forbid(
      'contracts-know-core-only',
      'src/contracts',
      'src/(server|islands|pages|cli|components|layouts|workers|messages)',
    ),
    forbid('messages-know-core-only', 'src/messages', 'src/(server|islands|pages|cli|components|layouts|workers)'),
    forbid('islands-stay-in-the-browser', 'src/islands', 'src/(server|pages|cli)'),
    forbid('sequelize-in-db-only', 'src', 'node_modules/(sequelize|umzug|pg)/', ['src/server/db/', TESTS]),
    forbid('models-in-db-only', 'src', 'src/server/db/(models|tables)', ['src/server/db/', TESTS]),
    forbid('repositories-know-no-services', 'src/server/db', 'src/server/(services|http|post)'),
    forbid(
      'edges-stand-below-services',
      'src/server/(http|print|post|audio|backup)',
      'src/server/(services|front|queue)',
    ),
    forbid('pages-ask-services', 'src/(pages|components|layouts)', 'src/server/db'),
    forbid('services-know-no-pages', 'src/server', 'src/(pages|islands|components|layouts|cli)/'),
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

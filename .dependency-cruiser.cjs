/** Arrows only downwards: core <- formats, contract <- demo <- server, web. A station never imports another. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: '^(packages|apps|demo)/', pathNot: allowed },
})

/** Folders of one tree from the ground up: each may import those before it, and none after. */
const LAYERS = {
  'packages/core/src': [
    'quantity',
    'border',
    'geometry',
    'drawing',
    'physics',
    'parts',
    'document',
    'log',
    'instrument',
    'photo',
    'portrait',
    'judge',
    'plan',
    'finish',
    'setup',
    'fit',
    'drill',
    'circuit',
    'understand',
    'stations',
    'evaluate',
    'testing',
  ],
  'packages/core/src/fit': [
    'guard',
    'neck',
    'bridge',
    'head',
    'pickups',
    'controls',
    'whole',
    'findJoints.ts',
    'choose',
    'measure',
    'mockup',
  ],
  'packages/core/src/circuit': ['engine', 'model', 'schemes', 'bench', 'faults', 'sound'],
  'apps/server/src': [
    'db',
    'backup',
    'http',
    'share',
    'benches',
    'news',
    'stock',
    'builds',
    'links',
    'photos',
    'log',
    'bundle',
    'app.ts',
    'main.ts',
  ],
  'apps/web/src': ['drawing', 'workers', 'state', 'ui', 'longview', 'app', 'shelf', 'stations', 'App.tsx', 'show.tsx', 'main.ts'],
}

const upwards = Object.entries(LAYERS).flatMap(([tree, order]) =>
  order.slice(0, -1).map((folder, i) => ({
    name: `only-downwards-from-${folder.replace(/\.tsx?$/, '')}`,
    severity: 'error',
    from: { path: `^${tree}/${folder}(/|$)` },
    to: { path: `^${tree}/(${order.slice(i + 1).join('|')})(/|$)` },
  })),
)

/** A folder that nobody placed would escape the rule. */
const placed = Object.entries(LAYERS).map(([tree, order]) => ({
  name: `every-folder-has-its-place-in-${tree.replace(/\W+/g, '-')}`,
  severity: 'error',
  from: { path: `^${tree}/[^/]+/`, pathNot: `^${tree}/(${order.join('|')}|testing|fuzz)/` },
  to: {},
}))

module.exports = {
  forbidden: [
    ...upwards,
    ...placed,
    only('core-imports-nothing-of-ours', '^packages/core/', '^packages/core/'),
    only('formats-import-core', '^packages/formats/', '^packages/(formats|core)/'),
    only('contract-imports-core', '^packages/contract/', '^packages/(contract|core)/'),
    only('demo-imports-core', '^demo/', '^(demo|packages/core)/'),
    only('server-imports-packages', '^apps/server/', '^(apps/server|packages|demo)/'),
    only('web-imports-packages', '^apps/web/', '^(apps/web|packages)/'),
    {
      name: 'apps-fetch-formats-one-by-one',
      comment: 'All formats together are larger than the rest of the page, or of the server: import @snug/formats/<file>.',
      severity: 'error',
      from: { path: '^apps/', pathNot: '[.]test[.]ts$' },
      to: { path: '^packages/formats/src/index' },
    },
    ...['apps/web/src/stations', 'packages/core/src/stations'].map((tree) => ({
      name: 'stations-stay-apart',
      severity: 'error',
      from: { path: `^${tree}/([^/]+)/` },
      to: { path: `^${tree}/[^/]+/`, pathNot: `^${tree}/$1/` },
    })),
    {
      name: 'ui-knows-no-station',
      severity: 'error',
      from: { path: '^apps/web/src/(ui|drawing|longview|state|workers)/' },
      to: { path: '^apps/web/src/(stations|app|shelf)/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(\\.test\\.tsx?$|/dist/|/\\.mutants-)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import'], extensions: ['.ts', '.tsx', '.js', '.mjs', '.css'] },
  },
}

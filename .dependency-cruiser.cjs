/** Arrows only downwards: core <- formats, contract <- demo <- server, web. A station never imports another. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from },
  to: { path: '^(packages|apps|demo)/', pathNot: allowed },
})

module.exports = {
  forbidden: [
    only('core-imports-nothing-of-ours', '^packages/core/', '^packages/core/'),
    only('formats-import-core', '^packages/formats/', '^packages/(formats|core)/'),
    only('contract-imports-core', '^packages/contract/', '^packages/(contract|core)/'),
    only('demo-imports-core', '^demo/', '^(demo|packages/core)/'),
    only('server-imports-packages', '^apps/server/', '^(apps/server|packages|demo)/'),
    only('web-imports-packages', '^apps/web/', '^(apps/web|packages)/'),
    {
      name: 'stations-stay-apart',
      severity: 'error',
      from: { path: '^apps/web/src/stations/([^/]+)/' },
      to: { path: '^apps/web/src/stations/', pathNot: '^apps/web/src/stations/$1/' },
    },
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
    exclude: { path: '(\\.test\\.tsx?$|/dist/)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import'], extensions: ['.ts', '.tsx', '.js', '.mjs', '.css'] },
  },
}

const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: '\\.(test|property)\\.tsx?$' },
  to: { path: '^(core|contract|server|web|demo|bench|faults|e2e)/', pathNot: `^(${[from, ...allowed].join('|')})/` },
})

export default {
  forbidden: [
    only('core-stands-alone', 'core', []),
    only('contract-knows-core', 'contract', ['core']),
    only('server-knows-core-and-contract', 'server', ['core', 'contract', 'demo']),
    only('web-knows-core-and-contract', 'web', ['core', 'contract']),
    only('demo-knows-core-and-contract', 'demo', ['core', 'contract']),
    { name: 'only-main-reads-demo', severity: 'error', from: { path: '^server/', pathNot: '(main|\\.test|\\.seed)\\.ts$' }, to: { path: '^demo/' } },
    {
      name: 'core-uses-small-pure-packages',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.(test|property)\\.ts$' },
      to: { path: 'node_modules', pathNot: 'node_modules/(zod|dinero\\.js|date-fns|@date-fns/tz)/' },
    },
    { name: 'core-does-no-io', severity: 'error', from: { path: '^core/', pathNot: '\\.(test|property)\\.ts$' }, to: { dependencyTypes: ['core'] } },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^dist|^data)' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default', 'types'] },
  },
}

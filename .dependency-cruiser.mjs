import { readFileSync } from 'node:fs'

/** Files that an index lists, a line each: what the guide counts on when it says that nothing else is touched. */
const listed = (index, pattern) =>
  readFileSync(index, 'utf8')
    .split('\n')
    .flatMap((line) => pattern.exec(line)?.[1] ?? [])
    .join('|')
const JOINTS = listed(
  'core/joints/index.ts',
  /^import \{ \w+ \} from '\.\/((?!side\b)[a-z-]+)\.ts'/,
)
const PORTS = listed(
  'core/ports/index.ts',
  /^import \{ \w+ \} from '\.\/((?!part-kinds)[a-z-]+)\.ts'/,
)

const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: '\\.(test|property)\\.tsx?$' },
  to: {
    path: '^(core|contract|server|web|demo|bench|faults|e2e)/',
    pathNot: `^(${[from, ...allowed].join('|')})/`,
  },
})

/** Services by subject: each may know those before it. */
const SERVICES = [
  'shop',
  'numbers',
  'catalogue',
  'importing',
  'keeping',
  'builds',
  'trains',
  'planning',
  'choosing',
]

export default {
  forbidden: [
    ...SERVICES.map((folder, i) => ({
      name: `services-of-${folder}-know-those-before`,
      severity: 'error',
      from: { path: `^server/services/${folder}/`, pathNot: '\\.test\\.ts$' },
      to: {
        path: '^server/services/',
        pathNot: `^server/services/(${SERVICES.slice(0, i + 1).join('|')})/`,
      },
    })),
    only('core-stands-alone', 'core', []),
    only('contract-knows-core', 'contract', ['core']),
    only('server-knows-core-and-contract', 'server', ['core', 'contract', 'demo']),
    only('web-knows-core-and-contract', 'web', ['core', 'contract']),
    only('demo-knows-core-and-contract', 'demo', ['core', 'contract']),
    {
      name: 'only-main-reads-demo',
      severity: 'error',
      from: { path: '^server/', pathNot: '(main|\\.test|\\.seed)\\.ts$' },
      to: { path: '^demo/' },
    },
    {
      name: 'core-uses-small-pure-packages',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.(test|property)\\.ts$' },
      to: {
        path: 'node_modules',
        pathNot: 'node_modules/(zod|dinero\\.js|date-fns|@date-fns/tz)/',
      },
    },
    {
      name: 'core-does-no-io',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.(test|property)\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      // The line of torque is drawn from the demand that the joint works out.
      name: 'a-joint-is-its-file-and-a-line',
      severity: 'error',
      from: { pathNot: '^core/(joints/index|pairing/torque-line)\\.ts$|\\.(test|property)\\.ts$' },
      to: { path: `^core/joints/(${JOINTS})\\.ts$` },
    },
    {
      name: 'a-port-kind-is-its-file-and-a-line',
      severity: 'error',
      from: { pathNot: '^core/ports/|\\.(test|property)\\.ts$' },
      to: { path: `^core/ports/(${PORTS})\\.ts$` },
    },
    {
      name: 'one-folder-knows-the-database',
      severity: 'error',
      from: {
        path: '^(server|core|contract|web)/',
        pathNot: '^server/database/sqlite/|\\.(test|seed)\\.ts$',
      },
      to: { path: 'node_modules/(@types/)?better-sqlite3/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^dist|^data)' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default', 'types'],
    },
  },
}

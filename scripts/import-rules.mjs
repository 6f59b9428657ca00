// Arrows between folders point one way. A planted violation must be found, and no module seen is a failure too.

import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { cruise } from 'dependency-cruiser'
import rules from '../.dependency-cruiser.mjs'

const FOLDERS = ['core', 'contract', 'server', 'web', 'demo', 'bench', 'e2e']

async function violations(extra = []) {
  const { output } = await cruise([...FOLDERS, ...extra], {
    ...rules.options,
    ruleSet: { forbidden: rules.forbidden },
    validate: true,
  })
  if (output.summary.totalCruised < 50)
    throw new Error(`Only ${output.summary.totalCruised} modules were seen: the check is blind.`)
  return output.summary.violations
}

const planted = 'core/planted-violation.ts'
const PLANTED = [
  'core-stands-alone',
  'a-joint-is-its-file-and-a-line',
  'a-port-kind-is-its-file-and-a-line',
]
try {
  mkdirSync('core', { recursive: true })
  writeFileSync(
    planted,
    "export { openDatabase } from '../server/database/sqlite/connection.ts'\nexport { pilot } from './joints/pilot.ts'\nexport { ring } from './ports/ring.ts'\n",
  )
  const seen = new Set(
    (await violations()).filter((found) => found.from === planted).map((found) => found.rule.name),
  )
  for (const rule of PLANTED)
    if (!seen.has(rule))
      throw new Error(`A planted import against ${rule} was not found: the check is blind.`)
} finally {
  rmSync(planted, { force: true })
}
const found = await violations()
for (const { rule, from, to } of found) console.error(`${rule.name}: ${from} → ${to}`)
console.log(
  found.length === 0 ? 'Imports point one way.' : `${found.length} imports point the wrong way.`,
)
process.exit(found.length === 0 ? 0 : 1)

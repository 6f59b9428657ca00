// Arrows between folders point one way. A planted violation must be found, and no module seen is a failure too.

import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { cruise } from 'dependency-cruiser'
import rules from '../.dependency-cruiser.mjs'

const FOLDERS = ['core', 'contract', 'server', 'web', 'demo', 'bench', 'e2e']

async function violations() {
  const { output } = await cruise(FOLDERS, {
    ...rules.options,
    ruleSet: { forbidden: rules.forbidden },
    validate: true,
  })
  if (output.summary.totalCruised < 50)
    throw new Error(`Only ${output.summary.totalCruised} modules were seen: the check is blind.`)
  return output.summary.violations
}

/** Files that break rules, planted to see that each rule is looked at. */
const PLANTED = [
  {
    file: 'core/planted-violation.ts',
    text: "export { openDatabase } from '../server/database/sqlite/connection.ts'\nexport { pilot } from './joints/pilot.ts'\nexport { ring } from './ports/ring.ts'\n",
    rules: [
      'core-stands-alone',
      'a-joint-is-its-file-and-a-line',
      'a-port-kind-is-its-file-and-a-line',
    ],
  },
  {
    file: 'server/services/numbers/planted-violation.ts',
    text: "export { listParts } from '../catalogue/parts-found.ts'\n",
    rules: ['services-of-numbers-know-those-before'],
  },
]
try {
  for (const { file, text } of PLANTED) {
    mkdirSync(dirname(file), { recursive: true })
    writeFileSync(file, text)
  }
  const seen = await violations()
  for (const { file, rules } of PLANTED)
    for (const name of rules)
      if (!seen.some((found) => found.from === file && found.rule.name === name))
        throw new Error(`A planted import against ${name} was not found: the check is blind.`)
} finally {
  for (const { file } of PLANTED) rmSync(file, { force: true })
}
const found = await violations()
for (const { rule, from, to } of found) console.error(`${rule.name}: ${from} → ${to}`)
console.log(
  found.length === 0 ? 'Imports point one way.' : `${found.length} imports point the wrong way.`,
)
process.exit(found.length === 0 ? 0 : 1)

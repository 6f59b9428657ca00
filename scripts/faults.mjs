// Faults on purpose, for minutes: made bodies, crafted documents, spoilt rows, then the running application killed, filled up and cut off.
// `npm run faults starts` runs one kind: bodies, documents, rows, starts, copies, disk or kill.
import { existsSync, readFileSync } from 'node:fs'
import { bundle } from './bundle.mjs'
import { bin, ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
ensureBuilt()
const only = process.argv.slice(2)
const wanted = (kind) => only.length === 0 || only.includes(kind)

/** Properties that the checks run in short, run long: 51 write routes × 100 bodies, 200 documents, 200 spoilt rows. */
const PROPERTIES = {
  bodies: { file: 'server/fuzz.test.ts', runs: 100, each: true },
  documents: { file: 'server/services/builds/build-document.test.ts', runs: 200, each: false },
  rows: { file: 'server/services/keeping/set-aside.test.ts', runs: 200, each: false },
}
const rows = []
let failed = 0
for (const [kind, { file, runs, each }] of Object.entries(PROPERTIES)) {
  if (!wanted(kind)) continue
  const report = `test-results/faults-${kind}.json`
  run(
    bin('vitest'),
    [
      'run',
      file,
      '--testTimeout',
      '3600000',
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${report}`,
    ],
    {
      env: { ...process.env, JUNKET_FUZZ: String(runs) },
    },
  )
  const { numPassedTests = 0, numFailedTests = 1 } = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : {}
  rows.push(
    `${kind.padEnd(40)} ${String(each ? (numPassedTests + numFailedTests) * runs : runs + numPassedTests).padStart(6)} tried ${String(numFailedTests).padStart(4)} failed`,
  )
  failed += numFailedTests
}
const rest = only.filter((kind) => !(kind in PROPERTIES))
if (only.length === 0 || rest.length > 0) {
  if (
    run(process.execPath, [await bundle('faults/faults.ts', 'dist/faults/faults.js'), ...rest]) !==
    0
  )
    failed++
}
if (rows.length > 0) console.log(`\n${rows.join('\n')}`)
process.exit(failed > 0 ? 1 : 0)

// All checks: format and lint, types, import rules, unit and property tests, build, end-to-end tests.
// The last line is `N passed, N failed` over every test and check; any failure exits non-zero.
import { execFile } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { ensureChromium } from './chromium.mjs'
import { bin, ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
rmSync('test-results', { recursive: true, force: true })
mkdirSync('test-results', { recursive: true })
let passed = 0
let failed = 0

/** Checks that do not wait for one another, side by side; each prints when it is done. */
async function checks(list) {
  const run = ([name, command, args]) =>
    new Promise((done) => {
      execFile(command, args, { maxBuffer: 2 ** 26 }, (error, out, err) => {
        console.log(`\n— ${name}\n${out}${err}`)
        if (error) failed++
        else passed++
        done()
      })
    })
  await Promise.all(list.map(run))
}

/** Adds a JSON report's counts; a run without a report, or without tests, counts as one failure. */
function tests(name, args, report, count) {
  console.log(`\n— ${name}`)
  const code = run(args[0], args.slice(1), {
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
  })
  const counts = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 }
  passed += counts.passed
  failed += counts.failed
  if ((code !== 0 && counts.failed === 0) || counts.passed + counts.failed === 0) failed++
}

await checks([
  ['Format and lint', bin('biome'), ['check', '--error-on-warnings', '.']],
  // By the compiler that takes a quarter of the time; the import rules read through the one before it.
  ['Types', process.execPath, ['node_modules/typescript-7/bin/tsc', '--noEmit']],
  ['Import rules', process.execPath, ['scripts/import-rules.mjs']],
])
// By itself: the import rules plant a file that nothing uses.
await checks([['Nothing unused', bin('knip'), []]])
tests(
  'Unit and property tests',
  [
    bin('vitest'),
    'run',
    '--reporter=default',
    '--reporter=json',
    '--outputFile.json=test-results/unit.json',
  ],
  'test-results/unit.json',
  (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
)
ensureBuilt()
const chromium = ensureChromium()
if (chromium) {
  process.env.CHROMIUM_PATH = chromium
  tests(
    'End-to-end tests',
    [bin('playwright'), 'test', '--reporter=list,json'],
    'test-results/e2e.json',
    (report) => ({
      passed: report.stats.expected,
      // What passed only on its second go is a fault too, of the application or of the story.
      failed: report.stats.unexpected + report.stats.flaky,
    }),
  )
} else failed++

console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)

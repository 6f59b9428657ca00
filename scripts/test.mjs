// All checks: format and lint, types, import rules, unit and property tests, build, end-to-end tests.
// The last line is `N passed, N failed` over every test and check; any failure exits non-zero.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { ensureChromium } from './chromium.mjs'
import { bin, ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
rmSync('test-results', { recursive: true, force: true })
mkdirSync('test-results', { recursive: true })
let passed = 0
let failed = 0

function check(name, command, args) {
  console.log(`\n— ${name}`)
  if (run(command, args) === 0) passed++
  else failed++
}

/** Adds a JSON report's counts; a run without a report, or without tests, counts as one failure. */
function tests(name, args, report, count) {
  console.log(`\n— ${name}`)
  const code = run(args[0], args.slice(1), { env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report } })
  const counts = existsSync(report) ? count(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 0 }
  passed += counts.passed
  failed += counts.failed
  if ((code !== 0 && counts.failed === 0) || counts.passed + counts.failed === 0) failed++
}

check('Format and lint', bin('biome'), ['check', '.'])
check('Types', bin('tsc'), ['--noEmit'])
check('Import rules', process.execPath, ['scripts/import-rules.mjs'])
tests(
  'Unit and property tests',
  [bin('vitest'), 'run', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'],
  'test-results/unit.json',
  (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
)
ensureBuilt()
const chromium = ensureChromium()
if (chromium) {
  process.env.CHROMIUM_PATH = chromium
  tests('End-to-end tests', [bin('playwright'), 'test', '--reporter=list,json'], 'test-results/e2e.json', (report) => ({
    passed: report.stats.expected + report.stats.flaky,
    failed: report.stats.unexpected,
  }))
} else failed++

console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)

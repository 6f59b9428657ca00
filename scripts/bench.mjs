// Bundles the benches like the application, beside its workers, so that what is measured is what runs.
import { bundle } from './bundle.mjs'
import { ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
ensureBuilt()
process.exit(
  run(process.execPath, [
    await bundle('bench/bench.ts', 'dist/server/bench.js'),
    ...process.argv.slice(2),
  ]),
)

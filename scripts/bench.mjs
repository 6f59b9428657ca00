// Bundles the benches like the application, beside its workers, so that what is measured is what runs.
import { bundle } from './bundle.mjs'
import { ensureChromium } from './chromium.mjs'
import { ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
ensureBuilt()
// What is measured in the browser finds it there.
process.env.CHROMIUM_PATH = ensureChromium() ?? ''
process.exit(
  run(process.execPath, [
    await bundle('bench/bench.ts', 'dist/server/bench.js'),
    ...process.argv.slice(2),
  ]),
)

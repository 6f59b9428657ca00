// Bundles the benches like the application, so that what is measured is what runs.
import { build } from 'esbuild'
import { ensureBuilt, ensureInstalled, run } from './run.mjs'

ensureInstalled()
ensureBuilt()
await build({
  entryPoints: ['bench/bench.ts'],
  outfile: 'dist/bench/bench.js',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
})
process.exit(run(process.execPath, ['dist/bench/bench.js', ...process.argv.slice(2)]))

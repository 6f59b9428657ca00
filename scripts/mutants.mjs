// Alters every declared limit in memory, one place at a time, and prints what no case notices. For minutes, not for every change.
import { bundle } from './bundle.mjs'
import { ensureInstalled, run } from './run.mjs'

ensureInstalled()
process.exit(run(process.execPath, [await bundle('faults/mutants.ts', 'dist/faults/mutants.js')]))

// Writes the examples of the OpenAPI document from answers of the demo.
import { bin, ensureInstalled, run } from './run.mjs'

ensureInstalled()
process.exit(
  run(bin('tsx'), ['server/examples/examples.seed.ts'], {
    env: { ...process.env, JUNKET_CHECK_ANSWERS: '1' },
  }),
)

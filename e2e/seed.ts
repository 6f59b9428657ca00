import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startJunket } from './junket.ts'

/** Fills one demo database before all tests: each then starts on a copy of it. */
export default async function seed(): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'junket-e2e-seed-'))
  await (await startJunket({ demo: true, data })).stop()
  process.env.JUNKET_DEMO_SEED = join(data, 'junket.sqlite')
}

import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startJunket } from './junket.ts'

/** Fills a demo and an empty database before all tests: each starts on a copy of one. Both go with the last test. */
export default async function seed(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'junket-e2e-seed-'))
  const filled = async (name: string, demo: boolean): Promise<string> => {
    const data = join(folder, name)
    await (await startJunket({ demo, data })).stop()
    return join(data, 'junket.sqlite')
  }
  process.env.JUNKET_DEMO_SEED = await filled('demo', true)
  process.env.JUNKET_EMPTY_SEED = await filled('empty', false)
  return () => rmSync(folder, { recursive: true, force: true })
}

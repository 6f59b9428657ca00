// Before all tests: threads start from a bundle, as they ship. From their sources each start would read all of them anew.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildServer, WORKERS } from './bundle.mjs'

export default async function setup() {
  // Within the project, so that packages are found.
  const cache = join('node_modules', '.cache')
  mkdirSync(cache, { recursive: true })
  const folder = mkdtempSync(join(cache, 'junket-workers-'))
  await buildServer(folder, WORKERS)
  process.env.JUNKET_WORKERS = folder
  return () => rmSync(folder, { recursive: true, force: true })
}

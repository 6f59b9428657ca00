import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

/** Path of a worker: built beside the bundle, or its source (run through tsx) in development and tests. */
export function workerUrl(name: string): { filename: string; execArgv: string[] } {
  const built = fileURLToPath(new URL(`./${name}.js`, import.meta.url))
  if (existsSync(built)) return { filename: built, execArgv: [] }
  return { filename: fileURLToPath(new URL(`./${name}.ts`, import.meta.url)), execArgv: ['--import', 'tsx'] }
}

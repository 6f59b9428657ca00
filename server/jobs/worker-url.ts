import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { Worker } from 'node:worker_threads'

/** Path of a worker: built beside the bundle or, for tests, where JUNKET_WORKERS says; its source, run through tsx, in development. */
export function workerUrl(name: string): { filename: string; execArgv: string[] } {
  const { JUNKET_WORKERS } = process.env
  const built = JUNKET_WORKERS
    ? resolve(JUNKET_WORKERS, `${name}.js`)
    : fileURLToPath(new URL(`./${name}.js`, import.meta.url))
  if (existsSync(built)) return { filename: built, execArgv: [] }
  return {
    filename: fileURLToPath(new URL(`./${name}.ts`, import.meta.url)),
    execArgv: ['--import', 'tsx'],
  }
}

/** A thread of its own that runs a worker for as long as it is wanted. */
export function startWorker(name: string, workerData: unknown): Worker {
  const { filename, execArgv } = workerUrl(name)
  if (execArgv.length === 0) return new Worker(filename, { workerData })
  // A source is read through tsx once that is registered, not where a thread begins with it.
  return new Worker(
    `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(pathToFileURL(filename).href)})))`,
    { eval: true, workerData },
  )
}

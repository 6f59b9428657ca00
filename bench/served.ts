import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const freePort = (): Promise<number> =>
  new Promise((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => found(port))
    })
  })

/** Writes JSON to a served application. */
export const post = (url: string, path: string, body: unknown): Promise<Response> =>
  fetch(`${url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })

export interface Served {
  readonly url: string
  readonly process: ChildProcess
  /** From process start to the first healthy answer. */
  readonly seconds: number
  readonly stop: () => Promise<void>
  /** The longest that its main thread kept a timer waiting, ms, since it was last asked to begin anew. */
  readonly delay: () => { readonly longestMs: number; readonly p99Ms: number }
}

/** Starts the built application on a free port, with the data of a folder. */
export async function serve(
  data: string,
  { demo = false, args = [] as readonly string[] } = {},
): Promise<Served> {
  const port = await freePort()
  const delays = join(tmpdir(), `junket-delay-${port}.json`)
  const from = performance.now()
  const child = spawn(
    process.execPath,
    [
      '--import',
      resolve('bench/delay.mjs'),
      'dist/server/main.js',
      ...(demo ? ['--demo'] : []),
      ...args,
    ],
    {
      env: {
        ...process.env,
        JUNKET_PORT: String(port),
        JUNKET_DATA: data,
        JUNKET_LOG: 'error',
        JUNKET_DELAY_FILE: delays,
      },
      stdio: 'ignore',
    },
  )
  while (
    !(await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    ))
  )
    await new Promise((done) => setTimeout(done, 5))
  const seconds = (performance.now() - from) / 1000
  const stop = (): Promise<void> =>
    new Promise((done) => {
      child.once('exit', () => done())
      child.kill('SIGTERM')
    })
  return {
    url: `http://127.0.0.1:${port}`,
    process: child,
    seconds,
    stop,
    delay: () => JSON.parse(readFileSync(delays, 'utf8')),
  }
}

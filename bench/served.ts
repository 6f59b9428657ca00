import { type ChildProcess, spawn } from 'node:child_process'
import { createServer } from 'node:net'

const freePort = (): Promise<number> =>
  new Promise((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => found(port))
    })
  })

/** Writes JSON to a served application. */
export const post = (url: string, path: string, body: unknown): Promise<Response> =>
  fetch(`${url}/api${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

export interface Served {
  readonly url: string
  readonly process: ChildProcess
  /** From process start to the first healthy answer. */
  readonly seconds: number
  readonly stop: () => Promise<void>
}

/** Starts the built application on a free port, with the data of a folder. */
export async function serve(data: string, { demo = false, args = [] as readonly string[] } = {}): Promise<Served> {
  const port = await freePort()
  const from = performance.now()
  const child = spawn(process.execPath, ['dist/server/main.js', ...(demo ? ['--demo'] : []), ...args], {
    env: { ...process.env, JUNKET_PORT: String(port), JUNKET_DATA: data, JUNKET_LOG: 'error' },
    stdio: 'ignore',
  })
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
  return { url: `http://127.0.0.1:${port}`, process: child, seconds, stop }
}

import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { median, type Row } from './row.ts'

const freePort = (): Promise<number> =>
  new Promise((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => found(port))
    })
  })

/** From process start to the first healthy answer, data made before. */
async function coldStart(data: string): Promise<number> {
  const port = await freePort()
  const from = performance.now()
  const child = spawn(process.execPath, ['dist/server/main.js'], { env: { ...process.env, JUNKET_PORT: String(port), JUNKET_DATA: data }, stdio: 'ignore' })
  while (
    !(await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    ))
  )
    await new Promise((done) => setTimeout(done, 5))
  const seconds = (performance.now() - from) / 1000
  child.kill('SIGTERM')
  await new Promise((done) => child.once('exit', done))
  return seconds
}

export async function benchStart(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'junket-bench-'))
  await coldStart(data)
  const seconds: number[] = []
  for (let i = 0; i < 5; i++) seconds.push(await coldStart(data))
  const html = readFileSync('dist/web/index.html', 'utf8')
  const scripts = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1]!)
  const bytes = scripts.reduce((sum, file) => sum + gzipSync(readFileSync(`dist/web${file}`)).length, 0)
  return [
    { name: 'cold start to first answer', value: Number(median(seconds).toFixed(2)), unit: 's', goal: 1, better: 'lower', percentile: 'median', runs: 5 },
    { name: 'initial JavaScript, gzipped', value: Number((bytes / 1000).toFixed(1)), unit: 'kB', goal: 250, better: 'lower', runs: 1 },
  ]
}

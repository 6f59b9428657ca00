import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { median, type Row } from './row.ts'
import { serve } from './served.ts'

/** From process start to the first healthy answer, data made before. */
async function coldStart(data: string): Promise<number> {
  const served = await serve(data)
  await served.stop()
  return served.seconds
}

export async function benchStart(): Promise<Row[]> {
  const data = mkdtempSync(join(tmpdir(), 'junket-bench-'))
  await coldStart(data)
  const seconds: number[] = []
  for (let i = 0; i < 5; i++) seconds.push(await coldStart(data))
  const html = readFileSync('dist/web/index.html', 'utf8')
  const scripts = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map(
    (match) => match[1]!,
  )
  const bytes = scripts.reduce(
    (sum, file) => sum + gzipSync(readFileSync(`dist/web${file}`)).length,
    0,
  )
  return [
    {
      name: 'cold start to first answer',
      value: Number(median(seconds).toFixed(2)),
      unit: 's',
      goal: 1,
      better: 'lower',
      percentile: 'median',
      runs: 5,
    },
    {
      name: 'initial JavaScript, gzipped',
      value: Number((bytes / 1000).toFixed(1)),
      unit: 'kB',
      goal: 250,
      better: 'lower',
      runs: 1,
    },
  ]
}

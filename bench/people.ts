import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import type { Row } from './row.ts'
import { serve } from './served.ts'

const PEOPLE = 50
const SECONDS = Number(process.env.BENCH_SECONDS ?? 60)
/** Between one act and the next a person looks at the screen this long, ms. */
const LOOK_MS = [1000, 3000] as const
/** One act in so many is a write. */
const WRITE_EVERY = 8
const SEED = 50

const READS = [
  '/builds',
  '/builds/lantern',
  '/builds/lantern/parts',
  '/builds/lantern/pairings',
  '/builds/lantern/pairing?engine=wick-2&transmission=marlund-4',
  '/builds/lantern/first-answer',
  '/builds/lantern/donors',
  '/parts?kind=engine',
  '/parts/wick-2',
  '/history?entity=build&id=lantern',
  '/find?q=disc',
] as const

/** Fifty people on one build for a minute: each reads and now and then writes, and every page hears of what the others changed. */
export async function benchPeople(): Promise<Row[]> {
  const served = await serve(mkdtempSync(join(tmpdir(), 'junket-bench-')), { demo: true })
  const reads: number[] = []
  const writes: number[] = []
  let failed = 0
  const timed = async (into: number[], path: string, init?: RequestInit): Promise<void> => {
    const from = performance.now()
    const answer = await fetch(`${served.url}/api${path}`, init)
    await answer.arrayBuffer()
    into.push(performance.now() - from)
    if (!answer.ok && answer.status !== 409) failed++
  }
  const write = (method: string, path: string, body: object): Promise<void> =>
    timed(writes, path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  const until = performance.now() + SECONDS * 1000
  await Promise.all(
    Array.from({ length: PEOPLE }, async (_, person) => {
      const random = xorshift128plus(SEED + person)
      const pick = (low: number, high: number): number => uniformInt(random, low, high)
      const line = new AbortController()
      const events = fetch(`${served.url}/api/events`, { signal: line.signal })
        .then((answer) => answer.arrayBuffer())
        .catch(() => undefined)
      await new Promise((done) => setTimeout(done, pick(0, LOOK_MS[1])))
      for (let i = 0; performance.now() < until; i++) {
        if (pick(1, WRITE_EVERY) > 1) await timed(reads, READS[pick(0, READS.length - 1)]!)
        else {
          const kind = pick(0, 3)
          if (kind === 0) await write('POST', '/claims', { portId: 'quill-late/pilot-bore/crank', field: 'bottomMm', value: -(pick(120, 160) / 10), grade: 'heard' })
          if (kind === 1) await write('POST', '/builds/lantern/stoppers', { question: 'rotation', says: pick(0, 1) ? 'yes' : 'no' })
          if (kind === 2) await write('POST', '/suppliers', { name: `Supplier ${person}-${i}`, currency: 'EUR' })
          if (kind === 3)
            await write('PATCH', '/builds/lantern/donors/donor-1/sheet', { answers: { 'gear-1': { value: pick(0, 1) ? 'yes' : 'no', at: new Date().toISOString(), by: null } } })
        }
        await new Promise((done) => setTimeout(done, pick(LOOK_MS[0], LOOK_MS[1])))
      }
      line.abort()
      await events
    }),
  )
  const memory = Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${served.process.pid}/status`, 'utf8'))?.[1] ?? 0) / 1000
  await served.stop()
  const p95 = (all: readonly number[]): number => Math.round([...all].sort((p, q) => p - q)[Math.floor(all.length * 0.95)] ?? 0)
  const of = { seed: SEED, better: 'lower' as const }
  return [
    { name: `${PEOPLE} people for ${SECONDS} s: reads`, value: p95(reads), unit: 'ms', goal: 100, percentile: 'p95', runs: reads.length, ...of },
    { name: `${PEOPLE} people for ${SECONDS} s: writes`, value: p95(writes), unit: 'ms', goal: 250, percentile: 'p95', runs: writes.length, ...of },
    { name: `${PEOPLE} people for ${SECONDS} s: answers that failed`, value: failed, unit: '', goal: 0, runs: reads.length + writes.length, ...of },
    { name: `${PEOPLE} people for ${SECONDS} s: server memory at most`, value: Math.round(memory), unit: 'MB', goal: null, runs: 1, ...of },
  ]
}

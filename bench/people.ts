import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import type { Row } from './row.ts'
import { type Served, serve } from './served.ts'

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
  const reads: Timed = { quiet: [], busy: [] }
  const writes: Timed = { quiet: [], busy: [] }
  let failed = 0
  let isBusy = false
  const timed = async (into: Timed, path: string, init?: RequestInit): Promise<void> => {
    const from = performance.now()
    const wasBusy = isBusy
    const answer = await fetch(`${served.url}/api${path}`, init)
    await answer.arrayBuffer()
    into[wasBusy || isBusy ? 'busy' : 'quiet'].push(performance.now() - from)
    if (!answer.ok && answer.status !== 409) failed++
  }
  const write = (method: string, path: string, body: object): Promise<void> =>
    timed(writes, path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  const before = process.cpuUsage()
  const memoryBefore = await settledMemory(served)
  served.process.kill('SIGUSR2')
  const until = performance.now() + SECONDS * 1000
  const heavy = async (): Promise<void> => {
    await new Promise((done) => setTimeout(done, SECONDS * 500))
    isBusy = true
    await Promise.all([solve(served), importRows(served)])
  }
  await Promise.all([
    heavy(),
    ...Array.from({ length: PEOPLE }, async (_, person) => {
      const random = xorshift128plus(SEED + person)
      // Neighbouring seeds begin alike, and fifty people would come in at one instant.
      for (let i = 0; i < 32; i++) random.next()
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
          if (kind === 0)
            await write('POST', '/claims', {
              portId: 'quill-late/pilot-bore/crank',
              field: 'bottomMm',
              value: -(pick(120, 160) / 10),
              grade: 'heard',
            })
          if (kind === 1)
            await write('POST', '/builds/lantern/stoppers', {
              question: 'rotation',
              says: pick(0, 1) ? 'yes' : 'no',
            })
          if (kind === 2)
            await write('POST', '/suppliers', { name: `Supplier ${person}-${i}`, currency: 'EUR' })
          if (kind === 3)
            await write('PATCH', '/builds/lantern/donors/donor-1/sheet', {
              answers: {
                'gear-1': {
                  value: pick(0, 1) ? 'yes' : 'no',
                  at: new Date().toISOString(),
                  by: null,
                },
              },
            })
        }
        await new Promise((done) => setTimeout(done, pick(LOOK_MS[0], LOOK_MS[1])))
      }
      line.abort()
      await events
    }),
  ])
  const { user, system } = process.cpuUsage(before)
  const delay = served.delay()
  const memory = memoryOf(served, 'VmHWM')
  const memoryAfter = await settledMemory(served)
  await served.stop()
  const p95 = (all: readonly number[]): number =>
    Math.round([...all].sort((p, q) => p - q)[Math.floor(all.length * 0.95)] ?? 0)
  const of = { seed: SEED, better: 'lower' as const }
  const whole = `${PEOPLE} people for ${SECONDS} s`
  const row = (what: string, value: number, unit: string, goal: number | null, runs = 1): Row => ({
    name: `${whole}: ${what}`,
    value,
    unit,
    goal,
    runs,
    ...of,
  })
  const times = (what: string, all: readonly number[], goal: number): Row => ({
    ...row(what, p95(all), 'ms', goal, all.length),
    percentile: 'p95',
  })
  return [
    times('reads', reads.quiet, 60),
    times('reads while one solves and 20,000 rows are imported', reads.busy, 60),
    times('writes', writes.quiet, 120),
    times('writes meanwhile', writes.busy, 120),
    row('longest delay of a timer of the request thread', Math.round(delay.longestMs), 'ms', 50),
    row('delay of a timer, 99th percentile', Number(delay.p99Ms.toFixed(1)), 'ms', null),
    row(
      'answers that failed',
      failed,
      '',
      0,
      reads.quiet.length + reads.busy.length + writes.quiet.length + writes.busy.length,
    ),
    row(
      'the load generator itself, of one core',
      Number(((user + system) / 1e6 / SECONDS).toFixed(2)),
      'cores',
      null,
    ),
    row('server memory at most', Math.round(memory), 'MB', null),
    row(
      'server memory after, of before',
      Number((memoryAfter / memoryBefore).toFixed(2)),
      '×',
      1.3,
    ),
  ]
}

/** How long each took: before, and from when one began to solve and rows to be imported. */
interface Timed {
  readonly quiet: number[]
  readonly busy: number[]
}

const memoryOf = ({ process: { pid } }: Served, what: 'VmHWM' | 'VmRSS'): number =>
  Number(
    new RegExp(`${what}:\\s+(\\d+)`).exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0,
  ) / 1000

/** Every screen read once, then a moment of rest. */
async function settledMemory(served: Served): Promise<number> {
  for (const path of READS) await (await fetch(`${served.url}/api${path}`)).arrayBuffer()
  await new Promise((done) => setTimeout(done, 2000))
  return memoryOf(served, 'VmRSS')
}

/** Solves a build and waits until the plan is there. */
async function solve({ url }: Served): Promise<void> {
  const job = (await (
    await fetch(`${url}/api/builds/lantern/sourcing`, { method: 'POST' })
  ).json()) as { id: string; status: string }
  for (let { status } = job; status === 'running'; ) {
    await new Promise((done) => setTimeout(done, 200))
    status = ((await (await fetch(`${url}/api/jobs/${job.id}`)).json()) as { status: string })
      .status
  }
}

const ROWS = 20_000

async function importRows({ url }: Served): Promise<void> {
  const lines = Array.from(
    { length: ROWS },
    (_, i) =>
      `Harbour Parts,BNC,${1000 + i}.${i % 7},Part ${i},${(i % 900) + 1}.50,EUR,yes,1,${i % 40},,new`,
  )
  const csv = [
    'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition',
    ...lines,
  ].join('\n')
  const answer = await fetch(`${url}/api/offers/import?decimal=point`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: csv,
  })
  if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`)
}

import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import { matchPatterns } from '../core/joints/search/correspondence.ts'
import { median, type Row } from './row.ts'

const SEED = 1212
const HOLES = 12
const RUNS = 200
const REGULAR_RUNS = 12
const WARMING = 4

/** Two faces of twelve uneven holes, the second turned and with one hole missing: the search of which meet. */
export function benchPattern(): Row[] {
  const random = xorshift128plus(SEED)
  const unit = (): number => (random.next() >>> 0) / 2 ** 32
  const times: number[] = []
  let met = 0
  for (let run = 0; run < RUNS; run++) {
    const turn = unit() * 360
    const ring = Array.from({ length: HOLES }, (_, i) => ({
      r: 160 + 40 * unit(),
      deg: i * 30 + 12 * unit(),
    }))
    const face = (by: number, d: number) =>
      ring.map(({ r, deg }) => ({
        x: r * Math.cos(((deg + by) * Math.PI) / 180),
        y: r * Math.sin(((deg + by) * Math.PI) / 180),
        d,
      }))
    const [a, b] = [face(0, 10), face(turn, 10.6)]
    b.splice(Math.floor(unit() * HOLES), 1)
    const from = performance.now()
    met += matchPatterns(
      a.map((hole) => ({ ...hole, thread: 'M10x1.5' })),
      b,
      [],
      [],
      0.125,
    ).met.length
    times.push(performance.now() - from)
  }
  const regular = (turn: number, thread?: string) =>
    Array.from({ length: 60 }, (_, i) => ({
      x: 180 * Math.cos(((i + turn) * Math.PI) / 30),
      y: 180 * Math.sin(((i + turn) * Math.PI) / 30),
      d: 10.6,
      ...(thread ? { thread } : {}),
    }))
  const spent: number[] = []
  for (let run = 0; run < REGULAR_RUNS; run++) {
    const before = process.cpuUsage()
    matchPatterns(regular(0, 'M10x1.5'), regular(run / 10), [], [], 0.125)
    const { user, system } = process.cpuUsage(before)
    if (run >= WARMING) spent.push((user + system) / 1000)
  }
  console.log(`  pattern: ${met / RUNS} of ${HOLES - 1} holes met on average`)
  return [
    {
      name: 'pattern match, 12 holes, one missing',
      value: Number(median(times).toFixed(3)),
      unit: 'ms',
      goal: 2,
      better: 'lower',
      percentile: 'median',
      runs: RUNS,
      seed: SEED,
    },
    {
      name: 'pattern match, two regular faces of 60 holes, processor time',
      value: Number(median(spent).toFixed(1)),
      unit: 'ms',
      goal: 100,
      better: 'lower',
      percentile: 'median',
      runs: REGULAR_RUNS - WARMING,
      seed: SEED,
    },
  ]
}

import { checkNumber, type NumberQuestion } from '../core/identity/check-number.ts'
import type { SupersessionClaim } from '../core/identity/claims.ts'
import { NumberIndex } from '../core/identity/number-index.ts'
import { median, megabytes, type Row } from './row.ts'

const ON = '2026-01-01'
const ASKED = 40_000
const RUNS = 5
const DIAMONDS = 125
/** So often asked before it counts, and after. */
const SEEN = 30

const number = (text: string) => ({ issuer: 'MLD', number: text })
/** As a question comes: read from text, with these fields. */
const asked = (from: string, to: string): NumberQuestion => ({
  want: [{ issuer: 'MLD', number: from, grade: 'maker' }],
  have: [{ issuer: 'MLD', number: to, grade: 'maker' }],
  on: ON,
})
const row = (from: string, to: string, back: 'no' | 'unsaid'): SupersessionClaim => ({
  id: `${from}-${to}`,
  old: [number(from)],
  new: [number(to)],
  back,
  grade: 'maker',
})

/** Numbers followed down chains of three, by how many rows there are; and over diamonds, which have more ways than can be gone. */
export function benchNumbers(): Row[] {
  const rows: Row[] = []
  const say = (name: string, value: number, unit: string, goal: number | null, runs: number) =>
    rows.push({
      name: `part numbers: ${name}`,
      value,
      unit,
      goal,
      better: unit === '/s' ? 'higher' : 'lower',
      runs,
    })
  for (const count of [100_000, 1_000_000]) {
    const chains = Math.floor(count / 3)
    const before = megabytes()
    const from = performance.now()
    const index = new NumberIndex({
      supersessions: Array.from({ length: chains }, (_, chain) =>
        [0, 1, 2].map((at) => row(`N${chain}X${at}`, `N${chain}X${at + 1}`, 'no')),
      ).flat(),
    })
    const words = count.toLocaleString('en')
    say(`${words} rows put together`, Math.round(performance.now() - from), 'ms', null, 1)
    say(`memory of ${words} rows`, megabytes() - before, 'MB', null, 1)
    const speeds = Array.from({ length: RUNS }, (_, run) => {
      const start = performance.now()
      for (let i = 0; i < ASKED; i++) {
        const chain = ((i + run) * 7919) % chains
        const { verdict } = checkNumber(index, asked(`N${chain}X0`, `N${chain}X3`))
        if (verdict !== 'superseded by') throw new Error(`A chain of three came out ${verdict}.`)
      }
      return ASKED / ((performance.now() - start) / 1000)
    })
    say(
      `verdicts on chains of three among ${words} rows`,
      Math.round(median(speeds)),
      '/s',
      count === 100_000 ? 200_000 : null,
      RUNS,
    )
  }
  for (const back of ['no', 'unsaid'] as const) {
    const index = new NumberIndex({
      supersessions: Array.from({ length: DIAMONDS }, (_, i) => [
        row(`D${i}`, `L${i}`, back),
        row(`D${i}`, `R${i}`, back),
        row(`L${i}`, `D${i + 1}`, back),
        row(`R${i}`, `D${i + 1}`, back),
      ]).flat(),
    })
    const times = Array.from({ length: 2 * SEEN }, () => {
      const start = performance.now()
      checkNumber(index, asked('D0', `D${DIAMONDS}`))
      return performance.now() - start
    })
    const name = `diamonds of 500 rows, the way back ${back === 'no' ? 'closed' : 'open'}`
    say(`${name}, asked first`, Number(times[0]!.toFixed(1)), 'ms', null, 1)
    // The program is compiled as it runs: what it takes from then on.
    say(`${name}, warm`, Number(median(times.slice(SEEN)).toFixed(1)), 'ms', 10, SEEN)
  }
  return rows
}

import { draw, LEVELS } from '../core/money/draw.ts'
import { FIXTURES } from '../core/needs/fixtures/builds.property.ts'
import type { KnownFacts } from '../core/needs/line-list.ts'
import { linesOf } from '../core/needs/line-list.ts'
import { LINE_ROWS } from '../core/needs/lines/index.ts'
import { openFacts } from '../core/needs/open-facts.ts'
import { planNeeds } from '../core/needs/plan-needs.ts'
import { median, type Row } from './row.ts'

const WARMING = 5

/** The list of a build, its plan with lines by hand to four hundred, the worth of all that is not known, and the draw of its total. */
export function benchList(): Row[] {
  const builds = FIXTURES.filter(({ facts }) => facts['build.engine']?.value === 'other')
  const little = (facts: KnownFacts): KnownFacts =>
    Object.fromEntries(Object.entries(facts).filter((_, i) => i % 4 === 0)) as KnownFacts
  const timed = (runs: number, work: (run: number) => void): number => {
    const times: number[] = []
    for (let run = 0; run < runs + WARMING; run++) {
      const from = performance.now()
      work(run)
      if (run >= WARMING) times.push(performance.now() - from)
    }
    return Number(median(times).toFixed(2))
  }
  const of = (run: number) => builds[run % builds.length]!
  const list = timed(60, (run) => linesOf(LINE_ROWS, of(run).facts))
  const recipes = [
    {
      id: 'many',
      when: { all: [] },
      whenListed: [],
      add: Array.from({ length: 60 }, (_, i) => ({
        kind: `shop:line-${i}`,
        place: 'shop',
        words: `Line ${i}`,
        quantity: 1,
        stage: 'final fit' as const,
        sort: 'part' as const,
        eur: [1, 2, 3] as [number, number, number],
        hours: [0, 0, 1] as [number, number, number],
      })),
    },
  ]
  let lines = 0
  const plan = timed(60, (run) => {
    const { needs, folded } = planNeeds({ facts: little(of(run).facts), recipes })
    lines = Math.max(lines, needs.length + folded.length)
  })
  let open = 0
  const worth = timed(10, (run) => {
    const facts = little(of(run).facts)
    const { needs, folded } = planNeeds({ facts })
    const keys = [...new Set([...needs, ...folded].flatMap(({ because }) => because))]
    open = Math.max(open, keys.length)
    openFacts(LINE_ROWS, facts, keys)
  })
  const drawn = timed(10, (run) =>
    draw(
      {
        lines: Array.from({ length: 150 }, (_, i) => ({
          price: [100, 200 + i, 600] as const,
          hours: [0.1, 0.4, 1] as const,
          chance: i % 3 === 0 ? 0.25 : 1,
          on: i % 2 === 0 ? i % 20 : null,
          stands: [0, 1],
        })),
        facts: Array.from({ length: 20 }, () => ({ chances: [0.5, 0.5] })),
        rateMinor: 4800,
        fixedMinor: 0,
        levels: LEVELS,
      },
      20_000,
      run,
    ),
  )
  console.log(`  list: plans of up to ${lines} lines, up to ${open} open facts`)
  const row = (name: string, value: number, goal: number, runs: number): Row => ({
    name,
    value,
    unit: 'ms',
    goal,
    better: 'lower',
    percentile: 'median',
    runs,
  })
  return [
    row('list of a build, 690 rows', list, 10, 60),
    row('plan of a build with lines of the shop, up to 400 lines', plan, 50, 60),
    row('worth of every open fact of a build hardly known', worth, 1000, 10),
    row('draw of a total, 150 lines, 20,000 draws', drawn, 100, 10),
  ]
}

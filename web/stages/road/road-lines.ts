import { effortByGear, loadCurve } from '../../../core/mechanics/road/effort.ts'
import type { Road, RoadCar } from '../../../core/mechanics/road/road-car.ts'
import { resistance } from '../../../core/mechanics/road/road-car.ts'
import type { EffortLine, Ring } from './effort-graph.tsx'

/** What the graph shows of a car on a hill, and of what it was before. */
export function roadLines(
  after: RoadCar,
  before: RoadCar | null,
  hill: Road,
  hillByGear: readonly number[],
): {
  readonly lines: readonly EffortLine[]
  readonly rings: readonly Ring[]
  readonly most: { readonly kmh: number; readonly n: number }
} {
  const gears = (car: RoadCar, tone: 'after' | 'before'): EffortLine[] =>
    effortByGear(car, { ...hill, grade: 0 }).map((points, i) => ({
      id: `${tone} ${i + 1}`,
      tone,
      points,
      label: String(i + 1),
    }))
  const own = [...gears(after, 'after'), ...(before ? gears(before, 'before') : [])]
  const fastest = Math.max(...own.flatMap(({ points }) => points.map(({ kmh }) => kmh)))
  const kmh = Math.min(240, Math.ceil(fastest / 20) * 20)
  const grades = [...new Set([0, hill.grade, hill.grade * 2])]
  const loads = grades.map(
    (grade): EffortLine => ({
      id: `load ${grade}`,
      tone: 'load',
      points: loadCurve(after, { ...hill, grade }, kmh),
      label: grade === 0 ? 'level' : `${Math.round(grade * 1000) / 10} %`,
    }),
  )
  const best = Math.max(...hillByGear)
  return {
    lines: [
      ...own.filter(({ tone }) => tone === 'before'),
      ...loads,
      ...own.filter(({ tone }) => tone === 'after'),
    ],
    rings: best > 0 ? [{ kmh: best, n: resistance(after, hill, best / 3.6) }] : [],
    most: { kmh, n: Math.max(...own.flatMap(({ points }) => points.map(({ n }) => n))) * 1.05 },
  }
}

import { meanOf } from '../../../core/money/triangle.ts'
import type { LineCost } from '../../../core/needs/line-cost.ts'
import type { Need } from '../../../core/needs/need.ts'
import type { Store } from '../../database/store.ts'
import { nameOf, type Planned, planBuild } from '../planning/planning.ts'
import { costsOf, totals } from '../planning/totals.ts'

/** Two builds to the end: what each comes to, and every line that is not the same in both. */
export async function againstView(store: Store, buildId: string, otherId: string) {
  const [one, other] = await Promise.all([planBuild(store, buildId), planBuild(store, otherId)])
  const [a, b] = [linesOf(one), linesOf(other)]
  const ids = [...new Set([...a.keys(), ...b.keys()])].sort()
  const lines = ids.flatMap((id) => {
    const [left, right] = [a.get(id), b.get(id)]
    const isSame =
      left && right && left.priceMinor === right.priceMinor && left.hours === right.hours
    if (isSame) return []
    const { words, place } = (left ?? right)!
    return { id, words, place, a: left?.told ?? null, b: right?.told ?? null }
  })
  return {
    a: sideOf(one),
    b: sideOf(other),
    lines,
    alike: ids.length - lines.length,
  }
}

function sideOf(plan: Planned) {
  const { build } = plan.view
  const sums = totals(plan)
  return {
    id: build.id,
    name: build.name,
    pairing: nameOf(plan),
    currency: build.currency,
    likely: sums?.likely ?? null,
    hours: sums?.hours ?? null,
    lines: sums?.lines ?? 0,
    unpriced: sums?.unpriced ?? 0,
    unmeasured:
      plan.run?.result.joints.filter(({ bare, closed }) => (closed ?? bare).code === 'unmeasured')
        .length ?? 0,
    engineId: plan.run?.train.engine.id ?? null,
    transmissionId: plan.run?.train.transmission.id ?? null,
  }
}

interface Line {
  readonly words: string
  readonly place: string
  readonly priceMinor: number | null
  readonly hours: number
  readonly told: {
    readonly words: string
    readonly priceMinor: number | null
    readonly hours: number
  }
}

/** What stands or leans of a list, by id; likely money and hours of each. */
function linesOf(plan: Planned): Map<string, Line> {
  const costs = costsOf(plan)
  return new Map(
    plan.needs.flatMap((need): [string, Line][] => {
      if (need.outcome !== 'yes' && need.outcome !== 'leans yes') return []
      const cost = costs.get(need.id)
      return cost ? [[need.id, lineOf(need, cost)]] : []
    }),
  )
}

function lineOf(need: Need, { price, hours }: LineCost): Line {
  const priceMinor = price && Math.round(meanOf(price))
  const likely = Math.round(meanOf(hours) * 10) / 10
  return {
    words: need.words,
    place: need.place,
    priceMinor,
    hours: likely,
    told: { words: need.words, priceMinor, hours: likely },
  }
}

import { type ShaftHalf, searchShafts } from '../../../core/driveline/shaft-search.ts'
import { shaftsWanted } from '../../../core/driveline/wanted.ts'
import { assemble, contextOf as jointContext } from '../../../core/pairing/train.ts'
import { type CompiledPart, portOf } from '../../../core/ports/index.ts'
import type { Store } from '../../database/store.ts'
import { type BuildView, contextOf, viewBuild } from '../builds/build-view.ts'
import { leastCost } from '../catalogue/least-cost.ts'
import { leastPrices } from '../catalogue/offered.ts'
import { runBuildPairing } from './pairing-run.ts'

/** The shafts a pairing wants, each searched off the shelf and against one made to order at the price typed for it. */
export async function findShafts(
  store: Store,
  buildId: string,
  engineId: string,
  transmissionId: string,
) {
  const view = await viewBuild(store, buildId)
  const { train, result, insertable } = runBuildPairing(view, engineId, transmissionId)
  // The plates that are put in move the train, and with it the shaft.
  const assembly = assemble({
    ...train,
    inserted: result.chosen.flatMap((id) => insertable.find((part) => part.id === id) ?? []),
  })
  const { a, b } = assembly.meetings.whole[0]!
  const halves = await halvesOf(store, view)
  const typed = (await store.list('decision', { buildId })).filter((row) => row.act === 'estimate')
  const custom = (kind: string) => {
    const row = typed.find((one) => one.needId.startsWith(`${kind}/`))
    return row
      ? {
          priceMinor: Number(row.priceMinor),
          words: `Made to order, ${String(row.source ?? 'as typed')}`,
        }
      : null
  }
  const shafts = shaftsWanted(a, b, jointContext(assembly, contextOf(view))).map((shaft) => ({
    ...shaft,
    search: shaft.wanted ? searchShafts(shaft.wanted, halves, custom(shaft.kind)) : null,
  }))
  return {
    shafts,
    names: Object.fromEntries(
      halves.map((half) => [half.id, view.catalogue.parts.get(half.id)!.name]),
    ),
    currency: view.build.currency,
  }
}

const orZero = (value: number): number => (Number.isFinite(value) ? Math.max(0, value) : 0)

async function halvesOf(store: Store, { build, catalogue }: BuildView): Promise<ShaftHalf[]> {
  const parts = catalogue.ofKind('shaft-half')
  const { of } = await leastPrices(
    store,
    parts.map((part) => part.id),
  )
  const cost = leastCost(build, parts, of, catalogue.trade)
  return parts.flatMap((part) => halfOf(part, cost(part.id)))
}

/** A half with a length and both of its fits known; the rest cannot be searched. */
function halfOf(part: CompiledPart, price: number): ShaftHalf[] {
  const { end, fits, bar, lengthMm, overlapLowMm, overlapHighMm } = portOf(part, 'shaft-half')
  if ((end.v !== 'inner' && end.v !== 'outer') || !fits.v || !bar.v || !Number.isFinite(lengthMm.v))
    return []
  const overlapMm = [orZero(overlapLowMm.v), orZero(overlapHighMm.v)] as const
  return [
    {
      id: part.id,
      end: end.v,
      fits: fits.v,
      bar: bar.v,
      lengthMm: lengthMm.v,
      overlapMm,
      priceMinor: Number.isFinite(price) ? price : null,
    },
  ]
}

import { type ShaftHalf, type ShaftSearch, type ShaftWanted, searchShafts } from '../../core/driveline/shaft-search.ts'
import { shaftLine } from '../../core/joints/shaft-line.ts'
import { assemble, contextOf as jointContext } from '../../core/pairing/train.ts'
import { type CompiledPart, portOf } from '../../core/ports/index.ts'
import type { Store } from '../database/store.ts'
import { MissingError } from '../errors.ts'
import { type BuildView, contextOf, costOf, trainOf, viewBuild } from './pairings.ts'

interface NamedShaft {
  readonly name: string
  readonly wanted: ShaftWanted | null
  /** Said where the length or an end is not known yet. */
  readonly unknown: string | null
  readonly search: ShaftSearch | null
}

/** The shafts a pairing wants, each searched off the shelf and against one made to order at the price typed for it. */
export async function findShafts(store: Store, buildId: string, engineId: string, transmissionId: string) {
  const view = await viewBuild(store, buildId)
  const engine = view.catalogue.parts.get(engineId)
  const transmission = view.catalogue.parts.get(transmissionId)
  if (!engine || !transmission) throw new MissingError('That engine or transmission is not in the catalogue any more.')
  const { train } = trainOf(view, engine, transmission)
  const assembly = assemble(train)
  const { a, b } = assembly.whole[0]!
  const halves = halvesOf(view)
  const typed = (await store.list('decision', { buildId })).filter((row) => row.act === 'estimate')
  const custom = (need: string) => {
    const row = typed.find((one) => String(one.needId).startsWith(need))
    return row ? { priceMinor: Number(row.priceMinor), words: `Made to order, ${String(row.source ?? 'as typed')}` } : null
  }
  const shafts: NamedShaft[] = []
  const add = (name: string, need: string, wanted: ShaftWanted, unknown: string): void => {
    const known = Number.isFinite(wanted.lengthMm) && wanted.inner !== '' && wanted.outer !== ''
    shafts.push(known ? { name, wanted, unknown: null, search: searchShafts(wanted, halves, custom(need)) } : { name, wanted: null, unknown, search: null })
  }
  if (b.ratios.finalDrive.claim !== null) {
    const { sideOutputs: box, driveShafts: shafts } = b
    for (const side of ['left', 'right'] as const) {
      const across = side === 'left' ? shafts.hubLeftMm.v - box.leftMm.v : shafts.hubRightMm.v - box.rightMm.v
      const wanted = { inner: box.family.v ?? '', outer: splines(shafts.hubSplines.v), lengthMm: Math.hypot(across, shafts.dropMm.v), withinMm: orZero(shafts.plungeMm.v) }
      add(`${side === 'left' ? 'Left' : 'Right'} drive shaft`, 'drive-shaft/', wanted, 'Measure the joint centres of transaxle and hubs first.')
    }
  } else {
    const line = shaftLine(a, b, jointContext(assembly, contextOf(view)))
    const inner = b.output.type.v === 'slip' ? splines(b.output.splines.v) : b.output.type.v === 'flange' && b.output.circleMm.claim ? `flange ${b.output.circleMm.v}` : ''
    const spare = orZero((b.propshaft.slipMm.v - b.pinion.travelMm.v) / 2)
    add(
      'Propshaft',
      'propshaft/',
      { inner, outer: b.pinion.flange.v ?? '', lengthMm: line.lengthMm, withinMm: spare },
      'Measure output, mounts and axle input first, and say which flange the axle has.',
    )
  }
  return { shafts, names: Object.fromEntries(halves.map((half) => [half.id, view.catalogue.parts.get(half.id)!.name])), currency: String(view.build.currency) }
}

const splines = (count: number): string => (Number.isFinite(count) && count > 0 ? `${count} splines` : '')
const orZero = (value: number): number => (Number.isFinite(value) ? Math.max(0, value) : 0)

function halvesOf(view: BuildView): ShaftHalf[] {
  const cost = costOf(view)
  return [...view.catalogue.parts.values()].filter((part) => part.kind === 'shaft-half').flatMap((part) => halfOf(part, cost(part.id)))
}

/** A half with a length and both of its fits known; the rest cannot be searched. */
function halfOf(part: CompiledPart, price: number): ShaftHalf[] {
  const { end, fits, bar, lengthMm, overlapLowMm, overlapHighMm } = portOf(part, 'shaft-half')
  if ((end.v !== 'inner' && end.v !== 'outer') || !fits.v || !bar.v || !Number.isFinite(lengthMm.v)) return []
  const overlapMm = [orZero(overlapLowMm.v), orZero(overlapHighMm.v)] as const
  return [{ id: part.id, end: end.v, fits: fits.v, bar: bar.v, lengthMm: lengthMm.v, overlapMm, priceMinor: Number.isFinite(price) ? price : null }]
}

import { convert } from '../../core/money/money.ts'
import { rateBetween } from '../../core/money/offer-price.ts'
import { ROW_CURRENCY } from '../../core/needs/line.ts'
import { PIECE_EUR } from '../../core/needs/list-estimate.ts'
import { chancesOf } from '../../core/pairing/field-chances.ts'
import { OUT_EUR } from '../../core/pairing/measure-next.ts'
import { nextMeasurements } from '../../core/pairing/open-fields.ts'
import { effective } from '../../core/pairing/order.ts'
import type { CompiledPart } from '../../core/ports/index.ts'
import { crawlPlace } from '../../core/recipient/crawl.ts'
import type { Store } from '../database/store.ts'
import { contextOf, viewBuild } from './build-view.ts'
import { RevisionMemory } from './memory.ts'
import { runBuildPairing } from './pairing-run.ts'
import { pairingRows } from './pairings.ts'

/** So many of the most promising pairings are in play, and so many measurements are named. */
const IN_PLAY = 8
const NAMED = 12
/** Parts of a kind that say what a field may be: evenly out of however many there are. */
const SAID_BY = 400

const remembered = new RevisionMemory<Awaited<ReturnType<typeof workOut>>>()

/** Which measurements would most change the choice among the pairings in play, or what the cheapest of them costs. */
export const measureNextView = (store: Store, buildId: string) =>
  remembered.recall(store, buildId, () => workOut(store, buildId))

async function workOut(store: Store, buildId: string) {
  const view = await viewBuild(store, buildId)
  const { catalogue, build, insertables } = view
  // In the build's money; without a rate a euro counts as one of it.
  const rate = rateBetween(catalogue.trade.rates, ROW_CURRENCY, build.currency) ?? 1
  const minorOf = (eur: number): number => convert(eur * 100, ROW_CURRENCY, build.currency, rate)
  const pieceMinor = minorOf(PIECE_EUR[1])
  // What came with the vehicle is what goes: it is not in play.
  const rows = (await pairingRows(store, view)).items
    .filter(({ isOwn }) => !isOwn)
    .filter(({ joints }) => joints.every(({ code, closed }) => (closed ?? code) !== 'clash'))
    .slice(0, IN_PLAY)
  const judged = rows.map((row) => {
    const { train, result, insertable } = runBuildPairing(view, row.engineId, row.transmissionId)
    const inserted = result.chosen.flatMap((id) => insertable.find((part) => part.id === id) ?? [])
    const pieces = result.chosen.reduce((sum, id) => sum + insertables.cost(id), 0)
    return {
      id: `${row.engine} with ${row.transmission}`,
      train: { ...train, inserted },
      verdicts: result.joints.map(effective),
      piecesMinor: Number.isFinite(pieces) ? pieces : pieceMinor,
    }
  })
  const found = nextMeasurements(
    judged,
    contextOf(view),
    { labourMinor: build.labourRateMinor, pieceMinor, outMinor: minorOf(OUT_EUR) },
    ({ part, port, field }) => {
      const kind = catalogue.parts.get(part)?.kind
      return kind === undefined
        ? null
        : chancesOf(port.split('/')[1] ?? '', field, someOf(catalogue.ofKind(kind)))
    },
  )
  return {
    inPlay: judged.map(({ id }) => id),
    items: found.slice(0, NAMED).map(({ field, value, perMinute, pairings }) => ({
      ...field,
      place: crawlPlace(
        catalogue.parts.get(field.part)?.kind ?? '',
        field.port.split('/').slice(1).join('/'),
        field.field,
      ),
      valueMinor: Math.round(value),
      perHourMinor: Math.round(perMinute * 60),
      pairings,
    })),
  }
}

function someOf(parts: readonly CompiledPart[]): readonly CompiledPart[] {
  const step = Math.max(1, Math.floor(parts.length / SAID_BY))
  return step === 1 ? parts : parts.filter((_, i) => i % step === 0)
}

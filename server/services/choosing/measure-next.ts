import type { z } from 'zod'
import type { measureNextInput } from '../../../contract/rows.ts'
import { convert } from '../../../core/money/money.ts'
import { rateBetween } from '../../../core/money/offer-price.ts'
import { ROW_CURRENCY } from '../../../core/needs/line.ts'
import { PIECE_EUR } from '../../../core/needs/list-estimate.ts'
import { chancesOf } from '../../../core/pairing/field-chances.ts'
import { OUT_EUR } from '../../../core/pairing/measure-next.ts'
import {
  type JudgedPairing,
  nextMeasurements,
  type TriedValue,
  withMeasured,
} from '../../../core/pairing/open-fields.ts'
import { effective } from '../../../core/pairing/order.ts'
import { isPlaced } from '../../../core/patterns/as-stored.ts'
import { type CompiledPart, compilePart, fieldsOf, isPortKind } from '../../../core/ports/index.ts'
import { parseTyped } from '../../../core/ports/parse.ts'
import { QuantityError } from '../../../core/quantity/units.ts'
import { crawlPlace } from '../../../core/recipient/crawl.ts'
import { fromTemplate, TEMPLATES } from '../../../core/templates/index.ts'
import type { Store } from '../../database/store.ts'
import { contextOf, viewBuild } from '../builds/build-view.ts'
import { RevisionMemory } from '../shop/memory.ts'
import { runBuildPairing } from '../trains/pairing-run.ts'
import { pairingRows } from './pairings.ts'
import { byWeight, weighed } from './weighed-pairings.ts'

/** Of so many of the most promising that nothing rules out, the best under the brief are in play, and so many measurements are named. */
const PROMISING = 40
const IN_PLAY = 8
const NAMED = 12
/** Parts of a kind that say what a field may be: evenly out of however many there are. */
const SAID_BY = 400

const inPlay = new RevisionMemory<Awaited<ReturnType<typeof judgeInPlay>>>()
const remembered = new RevisionMemory<ReturnType<typeof ranked>>()

/** Which measurements would most change the choice among the pairings in play, or what the cheapest of them costs. */
export const measureNextView = (store: Store, buildId: string) =>
  remembered.recall(store, buildId, async () => ranked(await played(store, buildId), []))

/** The same as if what is typed had been measured already; what cannot be read yet counts as not typed. Nothing is written. */
export async function measureNextTyped(
  store: Store,
  buildId: string,
  typed: z.infer<typeof measureNextInput>['typed'],
) {
  const found = await played(store, buildId)
  return ranked(
    found,
    typed.flatMap((one) => triedOf(found, one) ?? []),
  )
}

const played = (store: Store, buildId: string) =>
  inPlay.recall(store, buildId, () => judgeInPlay(store, buildId))

type InPlay = Awaited<ReturnType<typeof judgeInPlay>>

/** What is typed as a value of a field that one of the pairings in play waits for; null where it is none. */
function triedOf(
  { judged }: InPlay,
  { port, field, typed, decimal }: z.infer<typeof measureNextInput>['typed'][number],
): TriedValue | null {
  const missing = judged
    .flatMap(({ verdicts }) => verdicts.flatMap((verdict) => verdict.missing))
    .find((one) => one.port === port && one.field === field)
  const kind = port.split('/')[1] ?? ''
  const words = isPortKind(kind) ? fieldsOf(kind)[field] : undefined
  // Places are seen from one side or the other: nobody has said yet which.
  if (!missing || !words || isPlaced(words)) return null
  try {
    return { field: missing, value: parseTyped(words, typed, { decimal }) }
  } catch (error) {
    if (error instanceof QuantityError) return null
    throw error
  }
}

async function judgeInPlay(store: Store, buildId: string) {
  const view = await viewBuild(store, buildId)
  const { catalogue, build } = view
  // In the build's money; without a rate a euro counts as one of it.
  const rate = rateBetween(catalogue.trade.rates, ROW_CURRENCY, build.currency) ?? 1
  const minorOf = (eur: number): number => convert(eur * 100, ROW_CURRENCY, build.currency, rate)
  // What came with the vehicle is what goes: it is not in play.
  const isVehicles = (id: string): boolean =>
    build.recipientId !== null && catalogue.rows.get(id)?.ownerId === build.recipientId
  const promising = (await pairingRows(store, view, PROMISING)).items
    .filter(({ engineId }) => !isVehicles(engineId))
    .filter(({ joints }) => joints.every(({ code, closed }) => (closed ?? code) !== 'clash'))
  const rows = (await weighed(store, view, promising))
    .filter(({ minor }) => minor !== null)
    .sort(byWeight)
    .slice(0, IN_PLAY)
  const judged = rows.map(
    ({ engineId, transmissionId, transferId, name, money }): JudgedPairing => {
      const { train, result, insertable } = runBuildPairing(
        view,
        engineId,
        transmissionId,
        transferId,
      )
      const inserted = result.chosen.flatMap(
        (id) => insertable.find((part) => part.id === id) ?? [],
      )
      return {
        id: name,
        train: { ...train, inserted },
        verdicts: result.joints.map(effective),
        likelyMinor: money!.likely,
      }
    },
  )
  const prices = {
    labourMinor: build.labourRateMinor,
    pieceMinor: minorOf(PIECE_EUR[1]),
    outMinor: minorOf(OUT_EUR),
  }
  return { view, judged, prices }
}

function ranked({ view, judged, prices }: InPlay, typed: readonly TriedValue[]) {
  const { catalogue } = view
  const context = contextOf(view)
  const found = nextMeasurements(
    typed.length === 0 ? judged : judged.map((one) => withMeasured(one, context, prices, typed)),
    context,
    prices,
    ({ part, port, field }) => {
      const kind = catalogue.parts.get(part)?.kind
      return kind === undefined
        ? null
        : chancesOf(port.split('/')[1] ?? '', field, [
            ...someOf(catalogue.ofKind(kind)),
            ...typesOf(kind),
          ])
    },
  )
  return {
    inPlay: judged.map(({ id }) => id),
    items: found.slice(0, NAMED).map(({ field, value, perMinute, moves, pairings, together }) => ({
      ...field,
      place: crawlPlace(
        catalogue.parts.get(field.part)?.kind ?? '',
        field.port.split('/').slice(1).join('/'),
        field.field,
      ),
      valueMinor: Math.round(value),
      perHourMinor: Math.round(perMinute * 60),
      movesMinor: Math.round(moves),
      pairings,
      together,
    })),
  }
}

const types = new Map<string, readonly CompiledPart[]>()
/** What types of a kind assume: where few parts say a field, they do. */
function typesOf(kind: string): readonly CompiledPart[] {
  const held =
    types.get(kind) ??
    TEMPLATES.filter((one) => one.kind === kind).map((one) =>
      compilePart(fromTemplate(one, one.id)),
    )
  types.set(kind, held)
  return held
}

function someOf(parts: readonly CompiledPart[]): readonly CompiledPart[] {
  const step = Math.max(1, Math.floor(parts.length / SAID_BY))
  return step === 1 ? parts : parts.filter((_, i) => i % step === 0)
}

import type { z } from 'zod'
import type { arrivalInput } from '../../../contract/rows.ts'
import { type CriticalSize, criticalSizes } from '../../../core/arrival/critical-sizes.ts'
import { returnRights, WARNED_DAYS } from '../../../core/arrival/return-rights.ts'
import { groupBy } from '../../../core/group.ts'
import { recordTrain } from '../../../core/pairing/pairing.ts'
import type { Train } from '../../../core/pairing/train.ts'
import { compileField } from '../../../core/ports/field.ts'
import type { CompiledPart } from '../../../core/ports/index.ts'
import { printTyped } from '../../../core/ports/parse.ts'
import { takenBy } from '../../../core/sourcing/ids.ts'
import type { RowOf, Store } from '../../database/store.ts'
import { ConflictError, MissingError } from '../../errors.ts'
import { contextOf } from '../builds/build-view.ts'
import { fieldWords } from '../catalogue/catalogue.ts'
import { toClaim } from '../shop/core-parts.ts'
import { shopDay } from '../shop/day.ts'
import { decide, lineStanding } from './decisions.ts'
import { type Planned, planBuild } from './planning.ts'

/** The part that is planned for a line, and who sells it; null where none is. */
export async function planFor(
  store: Store,
  buildId: string,
  needId: string,
): Promise<{
  readonly partId: string
  readonly supplierId: string | null
  readonly costMinor: number | null
} | null> {
  const plan = await planBuild(store, buildId)
  const taken = partOfLine(plan, needId)
  return taken
    ? { partId: taken.partId, supplierId: taken.supplierId, costMinor: taken.costMinor }
    : null
}

function partOfLine({ plan, gathered, needs }: Planned, needId: string) {
  const need = needs.find(({ id }) => id === needId)
  const line = plan?.detail.lines.find((one) => one.need === needId)
  const source = line && gathered.sources.get(takenBy(line))
  const partId = source?.partId ?? need?.wants
  return need && partId
    ? { need, partId, supplierId: source?.supplierId ?? null, costMinor: line?.costMinor ?? null }
    : null
}

/**
 * Says that what is planned for a line is here: this very part from now on, of a batch, with its line received.
 * @param planned what is planned for the line, and how it stands, where another thread knows
 * @throws ConflictError where nothing is planned for the line
 */
export async function receive(
  store: Store,
  buildId: string,
  { needId, batch, day, saidBy }: z.output<typeof arrivalInput>,
  planned = (): ReturnType<typeof planFor> => planFor(store, buildId, needId),
  standing = (): ReturnType<typeof lineStanding> => lineStanding(store, buildId, needId),
): Promise<RowOf<'arrival'>> {
  const taken = await planned()
  if (!taken)
    throw new ConflictError(
      'Nothing of the catalogue is planned for this line: solve the plan first, or note it as received by hand.',
    )
  const { partId, supplierId } = taken
  const stands = await standing()
  return store.transaction(async (tx) => {
    // What was typed for it before stays: it may have come dearer than it was planned.
    const [before] = await tx.list('decision', { buildId, needId, act: 'receive' })
    await decide(
      tx,
      buildId,
      { needId, act: 'receive', priceMinor: before?.priceMinor ?? taken.costMinor },
      async () => stands,
    )
    const specimen =
      (await tx.list('specimen', { buildId, partId }))[0] ??
      (await tx.insert('specimen', { buildId, partId, name: 'In this build' }))
    const values = {
      partId,
      specimenId: specimen.id,
      supplierId: supplierId ?? null,
      batch: batch || null,
      saidBy: saidBy ?? null,
      day: day ?? (await shopDay(tx)),
    }
    const [held] = await tx.list('arrival', { buildId, needId })
    return held
      ? tx.update('arrival', held.id, held.version, values)
      : tx.insert('arrival', { buildId, needId, ...values })
  })
}

/** A size of a part that came: what was said of it, and what was measured on it. */
interface Heard {
  readonly port: string
  readonly field: string
  readonly label: string
  readonly is: string | null
  readonly said: string | null
  /** They differ by more than both ±. */
  readonly differs: boolean
  /** By how much a figure differs; 0 where one of the two is not there, or it is none. */
  readonly by: number
  readonly day: string | null
}

/** What its maker or a list said of each size of a part, and what was measured on this very one. */
async function heardOf(store: Store, partId: string, specimenId: string): Promise<Heard[]> {
  const ports = await store.list('port', { partId })
  const claims = (
    await store.listIn(
      'claim',
      'portId',
      ports.map(({ id }) => id),
    )
  ).filter(({ struckDay }) => struckDay === null)
  return [...groupBy(claims, ({ portId, field }) => `${portId} ${field}`).values()].flatMap(
    (rows) => {
      const { portId, field } = rows[0]!
      const words = fieldWords(ports.find(({ id }) => id === portId)!.kind, field)
      if (!words) return []
      const at = { port: portId, part: partId, partName: '', field, words }
      const own = rows.filter((one) => one.specimenId === specimenId)
      const is = compileField(own.map(toClaim), at, specimenId)
      const said = compileField(
        rows.filter((one) => one.specimenId === null).map(toClaim),
        at,
        undefined,
      )
      const isBoth = is.claim !== null && said.claim !== null
      const gap = isBoth ? words.differ(is.v, said.v) : 0
      return {
        port: portId,
        field,
        label: words.label,
        is: is.claim === null ? null : printTyped(words, is.v),
        said: said.claim === null ? null : printTyped(words, said.v),
        by:
          isBoth && typeof is.v === 'number' && typeof said.v === 'number'
            ? Math.abs(is.v - said.v)
            : 0,
        differs: isBoth && gap > is.pm + said.pm + 1e-9,
        day: own[0]?.day ?? null,
      }
    },
  )
}

/** The train of a build with a part that came in the place of what its line wanted. */
function withPart(train: Train, wanted: string | undefined, part: CompiledPart): Train {
  const swap = (one: CompiledPart): CompiledPart => (one.id === wanted ? part : one)
  return { ...train, coupling: train.coupling.map(swap), inserted: train.inserted.map(swap) }
}

/**
 * What came for a build: the sizes its joints lean on, what was measured of them, until when it is taken back; and what others
 * found of parts that this build still waits for.
 */
export async function arrivalsOf(store: Store, buildId: string) {
  const plan = await planBuild(store, buildId)
  const { view, run, needs } = plan
  const today = await shopDay(store)
  const [all, suppliers, builds] = await Promise.all([
    store.list('arrival'),
    store.list('supplier'),
    store.list('build'),
  ])
  const supplierOf = new Map(suppliers.map((one) => [one.id, one]))
  const nameOf = (id: string): string => view.catalogue.parts.get(id)?.name ?? id
  const own = all.filter((one) => one.buildId === buildId)
  const arrivals = []
  for (const arrival of own) {
    const { needId, partId, specimenId } = arrival
    const need = needs.find(({ id }) => id === needId)
    const part = view.catalogue.parts.get(partId)
    const heard = await heardOf(store, partId, specimenId)
    const inserted = (run?.result.chosen ?? []).flatMap((id) => view.catalogue.parts.get(id) ?? [])
    const verdicts =
      run && part
        ? recordTrain(withPart({ ...run.train, inserted }, need?.wants, part), contextOf(view))
        : []
    const sizes = criticalSizes(verdicts, partId).map((size) => {
      const found = heard.find(({ port, field }) => port === size.port && field === size.field)
      const is = found?.is ?? null
      // What would fail with the size as it was said to be is not the fault of this part.
      const fails = size.fails.flatMap(({ words, by }) =>
        found && is !== null && by <= found.by + 1e-6 ? words : [],
      )
      return {
        ...size,
        slot: size.port.split('/').slice(2).join('/'),
        fails,
        window: windowWords(size),
        said: found?.said ?? null,
        is,
        isMiss: is !== null && (found!.differs || fails.length > 0),
      }
    })
    const supplier = arrival.supplierId ? supplierOf.get(arrival.supplierId) : undefined
    const rights = returnRights(arrival.day, supplier?.returnDays ?? null, today)
    const misses = sizes.filter((size) => size.isMiss)
    const open = sizes.filter((size) => size.is === null)
    arrivals.push({
      id: arrival.id,
      needId,
      words: need?.words ?? needId,
      partId,
      partName: nameOf(partId),
      batch: arrival.batch,
      day: arrival.day,
      saidBy: arrival.saidBy,
      supplier: supplier?.name ?? null,
      rights,
      sizes,
      caution: cautionOf(misses.length, open.length, rights),
    })
  }
  return { arrivals, told: await toldBy(store, plan, all, builds, nameOf) }
}

/** Where a size may lie, as it would be typed; null where no joint gives an end. */
function windowWords({ port, field, low, high }: CriticalSize): string | null {
  const words = fieldWords(port.split('/')[1]!, field)
  if (!words || (low === null && high === null)) return null
  const print = (value: number): string => printTyped(words, Number(value.toFixed(2)))
  const unit = words.unit ? ` ${words.unit}` : ''
  if (low === null) return `at most ${print(high!)}${unit}`
  return high === null ? `at least ${print(low)}${unit}` : `${print(low)} to ${print(high)}${unit}`
}

/** What to do before return rights end; null where nothing presses. */
function cautionOf(
  misses: number,
  open: number,
  rights: { readonly until: string; readonly daysLeft: number } | null,
): string | null {
  const isOver = rights !== null && rights.daysLeft < 0
  const by =
    rights === null
      ? 'Ask its seller until when it is taken back.'
      : `It is taken back until ${rights.until}.`
  if (misses > 0)
    return `${misses} ${misses === 1 ? 'size is' : 'sizes are'} not as said or not what the joint takes. ${isOver ? `Its return ended on ${rights.until}: ask its seller all the same.` : by}`
  if (open > 0 && rights !== null && !isOver && rights.daysLeft <= WARNED_DAYS)
    return `${open} ${open === 1 ? 'size is' : 'sizes are'} not measured yet. ${by}`
  return null
}

/** What other builds measured otherwise than was said, of parts that this one still waits for. */
async function toldBy(
  store: Store,
  planned: Planned,
  all: readonly RowOf<'arrival'>[],
  builds: readonly RowOf<'build'>[],
  nameOf: (id: string) => string,
) {
  const { build } = planned.view
  const had = new Set(
    planned.decisions.flatMap(({ needId, act }) =>
      act === 'receive' || act === 'fit' ? needId : [],
    ),
  )
  const waits = new Set(
    planned.sought.flatMap(({ id }) =>
      had.has(id) ? [] : (partOfLine(planned, id)?.partId ?? []),
    ),
  )
  const told = []
  for (const arrival of all) {
    if (arrival.buildId === build.id || !waits.has(arrival.partId)) continue
    const found = await heardOf(store, arrival.partId, arrival.specimenId)
    for (const one of found.filter(({ differs }) => differs))
      told.push({
        partId: arrival.partId,
        partName: nameOf(arrival.partId),
        build: builds.find(({ id }) => id === arrival.buildId)?.name ?? arrival.buildId,
        batch: arrival.batch,
        label: one.label,
        is: one.is ?? '',
        said: one.said,
        day: one.day,
      })
  }
  return told
}

/** Takes back that something came: its line is not received any more; what was measured on it stays. @throws MissingError */
export const unreceive = (store: Store, buildId: string, id: string): Promise<string> =>
  store.transaction(async (tx) => {
    const arrival = await tx.get('arrival', id)
    if (arrival.buildId !== buildId) throw new MissingError('That came for another build.')
    for (const decision of await tx.list('decision', {
      buildId,
      needId: arrival.needId,
      act: 'receive',
    }))
      await tx.unmake('decision', decision)
    return tx.remove('arrival', id)
  })

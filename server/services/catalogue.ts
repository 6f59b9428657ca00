import { DEFAULT_RULE, normaliseNumber } from '../../core/identity/part-number.ts'
import type { Supersession } from '../../core/identity/supersession.ts'
import { tolerances } from '../../core/joints/tolerances.ts'
import { own } from '../../core/own.ts'
import type { FieldWords } from '../../core/ports/field.ts'
import { type CompiledPart, compilePart, isPortKind, PORT_KINDS } from '../../core/ports/index.ts'
import type { Part, Port } from '../../core/ports/port.ts'
import type { Claim } from '../../core/quantity/claim.ts'
import type { Market, OfferRow } from '../../core/sourcing/candidates.ts'
import { mirrored } from '../database/mirror.ts'
import type { Row, Store } from '../database/store.ts'
import type { TableName } from '../database/tables.ts'
import { RevisionMemory } from './memory.ts'

/** Everything a build's computing reads, compiled once per data revision. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, CompiledPart>
  /** Part rows by id: owner, default, years. */
  readonly rows: ReadonlyMap<string, Row>
  readonly market: Market
  readonly tolerances: ReturnType<typeof tolerances>
}

const memory = new RevisionMemory<Catalogue>()

/** The catalogue as one build sees it (its specimens are "this very part"); without a build, as the shop sees it. */
export const loadCatalogue = (store: Store, buildId: string | null): Promise<Catalogue> => memory.recall(store, buildId ?? '', () => build(store, buildId))

/** All rows of a table: the same array while none changed. */
const wholeTable = async (store: Store, table: TableName): Promise<readonly Row[]> => (store.inTransaction ? store.list(table) : (await mirrored(store, table)).list)

async function build(store: Store, buildId: string | null): Promise<Catalogue> {
  const [parts, ports, claims, specimens, settings] = await Promise.all([
    wholeTable(store, 'part'),
    wholeTable(store, 'port'),
    wholeTable(store, 'claim'),
    buildId ? store.list('specimen', { buildId }) : [],
    store.find('setting', 'tolerances'),
  ])
  const specimenOf = new Map(specimens.map((row) => [String(row.partId), row.id]))
  const portsOf = groupBy(ports, 'partId')
  const claimsOf = groupBy(claims, 'portId')
  const compiled = new Map(parts.map((part) => [part.id, compileOnce(part, portsOf.get(part.id) ?? [], claimsOf, specimenOf.get(part.id))]))
  const market = marketWith(await loadMarket(store), compiled, buildId ?? '')
  return {
    parts: market.parts,
    rows: new Map(parts.map((row) => [row.id, row])),
    market,
    tolerances: tolerancesOnce(JSON.stringify(settings?.value ?? {})),
  }
}

const wholeMarkets = new WeakMap<object, Map<string, Market>>()

/** The market with the parts it sells: the same object while neither changed, so that what leans on it can be kept. */
function marketWith(market: Omit<Market, 'parts'>, parts: Market['parts'], buildId: string): Market {
  let held = wholeMarkets.get(market)
  if (!held) wholeMarkets.set(market, (held = new Map()))
  const found = held.get(buildId)
  if (found && found.parts.size === parts.size && [...parts].every(([id, part]) => found.parts.get(id) === part)) return found
  const whole = { ...market, parts }
  held.set(buildId, whole)
  return whole
}

const heldTolerances = new Map<string, Catalogue['tolerances']>()

/** The same object for the same settings, so that what leans on it can be kept by identity. */
function tolerancesOnce(settings: string): Catalogue['tolerances'] {
  const held = heldTolerances.get(settings) ?? tolerances(JSON.parse(settings) as Record<string, number>)
  heldTolerances.set(settings, held)
  return held
}

interface Compiled {
  readonly sources: readonly unknown[]
  readonly part: CompiledPart
}
const compiledParts = new WeakMap<Row, Map<string, Compiled>>()

/** A part is compiled again only when one of its rows changed, so that what is remembered of it stays good. */
function compileOnce(row: Row, ports: readonly Row[], claimsOf: ReadonlyMap<string, Row[]>, specimen: string | undefined): CompiledPart {
  const sources: unknown[] = []
  for (const port of ports) {
    sources.push(port)
    for (const claim of claimsOf.get(port.id) ?? []) sources.push(claim)
  }
  let held = compiledParts.get(row)
  if (!held) compiledParts.set(row, (held = new Map()))
  const found = held.get(specimen ?? '')
  if (found && found.sources.length === sources.length && found.sources.every((one, i) => one === sources[i])) return found.part
  const claims = ports.flatMap((port) => claimsOf.get(port.id) ?? [])
  const part = compilePart(toCoreParts([row], ports, claims)[0]!, specimen)
  held.set(specimen ?? '', { sources, part })
  return part
}

/** Rows to the core's parts: claims gathered under their ports. */
export function toCoreParts(parts: readonly Row[], ports: readonly Row[], claims: readonly Row[]): Part[] {
  const claimsOf = groupBy(claims, 'portId')
  const portsOf = groupBy(ports, 'partId')
  return parts.map((part) => ({
    id: part.id,
    kind: String(part.kind),
    name: String(part.name),
    ports: (portsOf.get(part.id) ?? [])
      .filter((port) => isPortKind(String(port.kind)))
      .map((port): Port => {
        const byField = [...groupBy(claimsOf.get(port.id) ?? [], 'field')].map(([field, rows]): [string, Claim[]] => [field, rows.map(toClaim)])
        return { id: port.id, kind: String(port.kind), slot: String(port.slot), ...(port.looks ? { looks: port.looks as 'forward' } : {}), claims: Object.fromEntries(byField) }
      }),
  }))
}

export function toClaim(row: Row): Claim {
  const optional = Object.entries({
    plusMinus: row.plusMinus,
    method: row.method,
    source: row.source,
    by: row.saidBy,
    on: row.day,
    specimen: row.specimenId,
    typed: row.typed,
  }).filter(([, value]) => value !== null && value !== undefined)
  return { id: row.id, value: row.value, grade: row.grade as Claim['grade'], ...Object.fromEntries(optional) }
}

const MARKET = ['partNumber', 'supersession', 'offer', 'kit', 'kitItem', 'donor', 'donorItem', 'supplier', 'rate', 'issuer'] as const
const markets = new WeakMap<object, { readonly tables: readonly unknown[]; readonly market: Omit<Market, 'parts'> }>()

async function loadMarket(store: Store): Promise<Omit<Market, 'parts'>> {
  const tables = await Promise.all(MARKET.map((table) => wholeTable(store, table)))
  const held = markets.get(store.root)
  if (held?.tables.every((table, i) => table === tables[i])) return held.market
  const market = marketOf(tables)
  if (!store.inTransaction) markets.set(store.root, { tables, market })
  return market
}

function marketOf([numbers, supersessions, offers, kits, kitItems, donors, donorItems, suppliers, rates, issuers]: readonly (readonly Row[])[]): Omit<Market, 'parts'> {
  const rule = new Map(issuers!.map((row) => [row.id, { upper: row.upper as boolean, noise: String(row.noise) }]))
  const numberOf = (issuer: unknown, number: unknown): string => `${issuer}:${normaliseNumber(String(number), rule.get(String(issuer)) ?? DEFAULT_RULE)}`
  const kitItemsOf = groupBy(kitItems!, 'kitId')
  const donorItemsOf = groupBy(donorItems!, 'donorId')
  return {
    numbers: new Map([...groupBy(numbers!, 'partId')].map(([part, rows]) => [part, rows.map((row) => `${row.issuerId}:${row.normalised}`)])),
    supersessions: supersessions!.map(
      (row): Supersession => ({ old: numberOf(row.issuerId, row.oldNumber), new: numberOf(row.issuerId, row.newNumber), oneWay: row.oneWay === true }),
    ),
    offers: offers as unknown as OfferRow[],
    kits: kits!.map((kit) => ({ ...kit, items: kitItemsOf.get(kit.id) ?? [] })) as unknown as Market['kits'],
    donors: donors!.map((donor) => ({ ...donor, items: donorItemsOf.get(donor.id) ?? [] })) as unknown as Market['donors'],
    suppliers: suppliers as unknown as Market['suppliers'],
    rates: rates!.map((row) => ({ from: String(row.fromCurrency), to: String(row.toCurrency), rate: Number(row.rate), on: String(row.day) })),
  }
}

export function groupBy(rows: readonly Row[], column: string): Map<string, Row[]> {
  const groups = new Map<string, Row[]>()
  for (const row of rows) {
    const key = String(row[column])
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return groups
}

/** Words of one field of a port kind; null when there is no such field. */
export function fieldWords(kind: string, field: string): FieldWords<unknown> | null {
  return isPortKind(kind) ? (own(PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>, field) ?? null) : null
}

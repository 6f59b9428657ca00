import { DEFAULT_RULE, normaliseNumber } from '../../core/identity/part-number.ts'
import type { Supersession } from '../../core/identity/supersession.ts'
import { tolerances } from '../../core/joints/tolerances.ts'
import type { FieldWords } from '../../core/ports/field.ts'
import { type CompiledPart, compilePart, isPortKind, PORT_KINDS } from '../../core/ports/index.ts'
import type { Part, Port } from '../../core/ports/port.ts'
import type { Claim } from '../../core/quantity/claim.ts'
import type { Market, OfferRow } from '../../core/sourcing/candidates.ts'
import type { Row, Store } from '../database/store.ts'

/** Everything a build's computing reads, compiled once per data revision. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, CompiledPart>
  /** Part rows by id: owner, default, years. */
  readonly rows: ReadonlyMap<string, Row>
  readonly market: Market
  readonly tolerances: ReturnType<typeof tolerances>
}

interface Remembered {
  readonly revision: number
  readonly catalogue: Promise<Catalogue>
}

const memory = new WeakMap<object, Map<string, Remembered>>()

/** The catalogue as one build sees it (its specimens are "this very part"); without a build, as the shop sees it. */
export async function loadCatalogue(store: Store, buildId: string | null): Promise<Catalogue> {
  if (store.inTransaction) return build(store, buildId)
  const revision = await store.revision()
  let held = memory.get(store.root)
  if (!held) memory.set(store.root, (held = new Map()))
  const key = buildId ?? ''
  const found = held.get(key)
  if (found?.revision === revision) return found.catalogue
  const catalogue = build(store, buildId)
  held.set(key, { revision, catalogue })
  catalogue.catch(() => held.delete(key))
  return catalogue
}

async function build(store: Store, buildId: string | null): Promise<Catalogue> {
  const [parts, ports, claims, specimens] = await Promise.all([store.list('part'), store.list('port'), store.list('claim'), buildId ? store.list('specimen', { buildId }) : []])
  const specimenOf = new Map(specimens.map((row) => [String(row.partId), row.id]))
  const core = toCoreParts(parts, ports, claims)
  const compiled = new Map(core.map((part) => [part.id, compileOnce(part, specimenOf.get(part.id))]))
  const settings = await store.find('setting', 'tolerances')
  return {
    parts: compiled,
    rows: new Map(parts.map((row) => [row.id, row])),
    market: await loadMarket(store, compiled),
    tolerances: tolerances((settings?.value ?? {}) as Record<string, number>),
  }
}

const compiledParts = new Map<string, { signature: string; part: CompiledPart }>()

/** A part is compiled again only when its claims changed, so that matches remembered per pair of faces stay good. */
function compileOnce(part: Part, specimen: string | undefined): CompiledPart {
  const signature = JSON.stringify([part.kind, part.name, specimen, part.ports])
  const key = `${part.id}|${specimen ?? ''}`
  const held = compiledParts.get(key)
  if (held?.signature === signature) return held.part
  const compiled = compilePart(part, specimen)
  compiledParts.set(key, { signature, part: compiled })
  return compiled
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
        const byField: Record<string, Claim[]> = {}
        for (const claim of claimsOf.get(port.id) ?? []) (byField[String(claim.field)] ??= []).push(toClaim(claim))
        return { id: port.id, kind: String(port.kind), slot: String(port.slot), ...(port.looks ? { looks: port.looks as 'forward' } : {}), claims: byField }
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

async function loadMarket(store: Store, parts: ReadonlyMap<string, CompiledPart>): Promise<Market> {
  const [numbers, supersessions, offers, kits, kitItems, donors, donorItems, suppliers, rates, issuers] = await Promise.all(
    (['partNumber', 'supersession', 'offer', 'kit', 'kitItem', 'donor', 'donorItem', 'supplier', 'rate', 'issuer'] as const).map((table) => store.list(table)),
  )
  const rule = new Map(issuers!.map((row) => [row.id, { upper: row.upper as boolean, noise: String(row.noise) }]))
  const numberOf = (issuer: unknown, number: unknown): string => `${issuer}:${normaliseNumber(String(number), rule.get(String(issuer)) ?? DEFAULT_RULE)}`
  const kitItemsOf = groupBy(kitItems!, 'kitId')
  const donorItemsOf = groupBy(donorItems!, 'donorId')
  return {
    parts,
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
  return isPortKind(kind) ? ((PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>)[field] ?? null) : null
}

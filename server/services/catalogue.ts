import { DEFAULT_RULE, normaliseNumber } from '../../core/identity/part-number.ts'
import type { Supersession } from '../../core/identity/supersession.ts'
import { tolerances } from '../../core/joints/tolerances.ts'
import { own } from '../../core/own.ts'
import type { FieldWords } from '../../core/ports/field.ts'
import { type CompiledPart, isPortKind, PORT_KINDS } from '../../core/ports/index.ts'
import type { Market, OfferRow } from '../../core/sourcing/market.ts'
import { mirrored } from '../database/mirror.ts'
import type { Row, Store } from '../database/store.ts'
import { groupBy } from './core-parts.ts'
import { compiledShelf } from './shelf.ts'

/** Everything a build's computing reads: the same object until something in it changed. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, CompiledPart>
  /** Part rows by id: owner, default, years. */
  readonly rows: ReadonlyMap<string, Row>
  /** Parts of a kind, by id. */
  ofKind(kind: string): readonly CompiledPart[]
  /** Rows of the parts that came with a part. */
  ownedBy(owner: string): readonly Row[]
  /** Offers of a part. */
  offersOf(part: string): readonly OfferRow[]
  /** A supplier by name, selling something now or not; its id where it is gone. */
  supplierName(id: string): string
  readonly market: Market
  readonly tolerances: ReturnType<typeof tolerances>
}

const catalogues = new WeakMap<object, Map<string, { readonly leansOn: readonly unknown[]; readonly catalogue: Catalogue }>>()

/** The catalogue as one build sees it (its specimens are "this very part"); without a build, as the shop sees it. Never inside a transaction: commands check and write, they do not plan. */
export async function loadCatalogue(store: Store, buildId: string | null): Promise<Catalogue> {
  if (store.inTransaction) throw new Error('The catalogue is not read inside a transaction: plan before it.')
  const [shelf, market, offers, suppliers, settings] = await Promise.all([
    compiledShelf(store, buildId),
    loadMarket(store),
    mirrored(store, 'offer'),
    mirrored(store, 'supplier'),
    store.find('setting', 'tolerances'),
  ])
  const tolerance = tolerancesOnce(JSON.stringify(settings?.value ?? {}))
  const leansOn = [shelf, market, tolerance]
  let held = catalogues.get(store.root)
  if (!held) catalogues.set(store.root, (held = new Map()))
  const found = held.get(buildId ?? '')
  if (found?.leansOn.every((one, i) => one === leansOn[i])) return found.catalogue
  const catalogue: Catalogue = {
    parts: shelf.parts,
    rows: shelf.rows,
    ofKind: (kind) => shelf.kinds.get(kind) ?? [],
    ownedBy: shelf.ownedBy,
    offersOf: (part) => offers.group('partId', part) as unknown as OfferRow[],
    supplierName: (id) => String(suppliers.rows.get(id)?.name ?? id),
    market: { ...market, parts: shelf.parts },
    tolerances: tolerance,
  }
  held.set(buildId ?? '', { leansOn, catalogue })
  return catalogue
}

const heldTolerances = new Map<string, Catalogue['tolerances']>()

/** The same object for the same settings, so that what leans on it can be kept by identity. */
function tolerancesOnce(settings: string): Catalogue['tolerances'] {
  const held = heldTolerances.get(settings) ?? tolerances(JSON.parse(settings) as Record<string, number>)
  heldTolerances.set(settings, held)
  return held
}

type Offers = Omit<Market, 'parts'>
const markets = new WeakMap<object, Map<string, { readonly tables: readonly unknown[]; readonly value: unknown }>>()

/** What is sold and by whom; each piece the same object until a table it is made of changes. */
async function loadMarket(store: Store): Promise<Offers> {
  const names = ['partNumber', 'supersession', 'offer', 'kit', 'kitItem', 'donor', 'donorItem', 'supplier', 'rate', 'issuer'] as const
  const lists = await Promise.all(names.map(async (table) => (await mirrored(store, table)).list))
  const offered = await mirrored(store, 'offer')
  const table = Object.fromEntries(names.map((name, i) => [name, lists[i]!])) as Record<(typeof names)[number], readonly Row[]>
  let held = markets.get(store.root)
  if (!held) markets.set(store.root, (held = new Map()))
  const memo = held
  const once = <T>(name: string, tables: readonly unknown[], work: () => T): T => {
    const found = memo.get(name)
    if (found?.tables.every((one, i) => one === tables[i])) return found.value as T
    const value = work()
    memo.set(name, { tables, value })
    return value
  }
  const withItems = (rows: readonly Row[], items: readonly Row[], column: string) => {
    const groups = groupBy(items, column)
    return rows.map((row) => ({ ...row, items: groups.get(row.id) ?? [] }))
  }
  const selling = table.supplier.filter((row) => offered.group('supplierId', row.id).length > 0 || table.kit.some((kit) => kit.supplierId === row.id))
  const before = memo.get('suppliers')?.value as readonly Row[] | undefined
  const isSame = before?.length === selling.length && before.every((row, i) => row === selling[i])
  if (!isSame) memo.set('suppliers', { tables: [], value: selling })
  const pieces = {
    numbers: once(
      'numbers',
      [table.partNumber],
      () => new Map([...groupBy(table.partNumber, 'partId')].map(([part, rows]) => [part, rows.map((row) => `${row.issuerId}:${row.normalised}`)])),
    ),
    supersessions: once('supersessions', [table.supersession, table.issuer], () => supersessionsOf(table.supersession, table.issuer)),
    offers: table.offer as unknown as OfferRow[],
    kits: once('kits', [table.kit, table.kitItem], () => withItems(table.kit, table.kitItem, 'kitId')) as unknown as Market['kits'],
    donors: once('donors', [table.donor, table.donorItem], () => withItems(table.donor, table.donorItem, 'donorId')) as unknown as Market['donors'],
    // Only who sells something: another on the list changes nothing.
    suppliers: (isSame ? before : selling) as unknown as Market['suppliers'],
    rates: once('rates', [table.rate], () =>
      table.rate.map((row) => ({ from: String(row.fromCurrency), to: String(row.toCurrency), rate: Number(row.rate), on: String(row.day) })),
    ),
  }
  return once('market', Object.values(pieces), () => pieces)
}

function supersessionsOf(supersessions: readonly Row[], issuers: readonly Row[]): Supersession[] {
  const rule = new Map(issuers.map((row) => [row.id, { upper: row.upper as boolean, noise: String(row.noise) }]))
  const numberOf = (issuer: unknown, number: unknown): string => `${issuer}:${normaliseNumber(String(number), rule.get(String(issuer)) ?? DEFAULT_RULE)}`
  return supersessions.map((row): Supersession => ({ old: numberOf(row.issuerId, row.oldNumber), new: numberOf(row.issuerId, row.newNumber), oneWay: row.oneWay === true }))
}

/** Words of one field of a port kind; null when there is no such field. */
export function fieldWords(kind: string, field: string): FieldWords<unknown> | null {
  return isPortKind(kind) ? (own(PORT_KINDS[kind].fields as Record<string, FieldWords<unknown>>, field) ?? null) : null
}

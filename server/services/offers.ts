import { v7 as uuidv7 } from 'uuid'
import { DEFAULT_RULE, normaliseNumber } from '../../core/identity/part-number.ts'
import type { Decimal } from '../../core/quantity/units.ts'
import type { Row, Store } from '../database/store.ts'
import { type BadCell, type OfferLine, readOffersCsv } from '../documents/offers-csv.ts'
import { UnprocessableError } from '../errors.ts'

export interface ImportPreview {
  readonly added: number
  readonly updated: number
  readonly newParts: readonly { issuer: string; number: string; description: string }[]
  readonly newIssuers: readonly string[]
  readonly bad: readonly BadCell[]
  readonly rows: number
}

interface Matched {
  readonly line: OfferLine
  readonly supplierId: string
  readonly normalised: string
  readonly issuerKey: string
  readonly held: Row | undefined
}

interface Reading {
  readonly preview: ImportPreview
  readonly matched: readonly Matched[]
  readonly issuers: ReadonlyMap<string, Row>
  readonly partOf: ReadonlyMap<string, string>
}

/** What an import would do, without doing it. */
export async function previewOffers(store: Store, csv: string, decimal: Decimal = 'ask'): Promise<ImportPreview> {
  return (await readOffers(store, csv, decimal)).preview
}

/**
 * Imports offers, all or nothing: any bad row and nothing is written.
 * @throws UnprocessableError listing every bad row
 */
export async function importOffers(store: Store, csv: string, decimal: Decimal = 'ask'): Promise<ImportPreview> {
  return store.transaction(async (tx) => {
    const reading = await readOffers(tx, csv, decimal)
    const { preview } = reading
    if (preview.bad.length > 0)
      throw new UnprocessableError(
        `${preview.bad.length} ${preview.bad.length === 1 ? 'cell is' : 'cells are'} wrong: nothing was imported. Mend them and try again.`,
        preview.bad.map((cell) => ({ path: `line ${cell.line}${cell.column ? `, ${cell.column}` : ''}`, message: cell.message })),
      )
    await write(tx, reading)
    return preview
  })
}

const issuerKey = (name: string): string => name.trim().toLowerCase()

async function readOffers(store: Store, csv: string, decimal: Decimal): Promise<Reading> {
  const [supplierRows, issuerRows, numberRows, offerRows] = await Promise.all([store.list('supplier'), store.list('issuer'), store.list('partNumber'), store.list('offer')])
  const suppliers = new Map(supplierRows.map((row) => [issuerKey(String(row.name)), row]))
  const { rows, bad: badCells } = readOffersCsv(csv, (name) => suppliers.has(issuerKey(name)), decimal)
  const bad = [...badCells]
  const issuers = new Map(issuerRows.map((row) => [issuerKey(String(row.name)), row]))
  const partOf = new Map(numberRows.map((row) => [`${row.issuerId}:${row.normalised}`, String(row.partId)]))
  const offerKey = (supplier: unknown, issuer: unknown, number: unknown, condition: unknown, pack: unknown): string => JSON.stringify([supplier, issuer, number, condition, pack])
  const held = new Map(offerRows.map((row) => [offerKey(row.supplierId, row.issuerId, row.normalised, row.condition, row.pack), row]))
  const seen = new Map<string, number>()
  const newIssuers = new Map<string, string>()
  const newParts = new Map<string, { issuer: string; number: string; description: string }>()
  const matched: Matched[] = []
  for (const line of rows) {
    const supplier = suppliers.get(issuerKey(line.supplier))!
    const issuer = issuers.get(issuerKey(line.issuer))
    if (!issuer && !newIssuers.has(issuerKey(line.issuer))) newIssuers.set(issuerKey(line.issuer), line.issuer)
    const normalised = normaliseNumber(line.number, issuer ? { upper: issuer.upper as boolean, noise: String(issuer.noise) } : DEFAULT_RULE)
    if (normalised === '') {
      bad.push({ line: line.line, column: 'number', message: `"${line.number}" has nothing left once separators are dropped. Write the part number.` })
      continue
    }
    const key = offerKey(supplier.id, issuer?.id ?? issuerKey(line.issuer), normalised, line.condition, line.pack)
    const twin = seen.get(key)
    if (twin !== undefined) {
      bad.push({ line: line.line, column: 'number', message: `The same supplier, issuer, number, condition and pack stand on line ${twin}. Keep one of them.` })
      continue
    }
    seen.set(key, line.line)
    if (!issuer || !partOf.has(`${issuer.id}:${normalised}`))
      newParts.set(`${issuerKey(line.issuer)}:${normalised}`, { issuer: line.issuer, number: line.number, description: line.description })
    matched.push({ line, supplierId: supplier.id, normalised, issuerKey: issuerKey(line.issuer), held: issuer ? held.get(key) : undefined })
  }
  bad.sort((p, q) => p.line - q.line)
  const updated = matched.filter((one) => one.held).length
  const preview = { rows: rows.length, added: matched.length - updated, updated, newParts: [...newParts.values()], newIssuers: [...newIssuers.values()], bad }
  return { preview, matched, issuers, partOf }
}

/** Writes in batches; the history gets one entry an offer, like any other write. */
async function write(store: Store, { matched, issuers, partOf, preview }: Reading): Promise<void> {
  const issuerIds = new Map([...issuers].map(([key, row]) => [key, row.id]))
  for (const name of preview.newIssuers) issuerIds.set(issuerKey(name), (await store.insert('issuer', { name })).id)
  const parts = new Map(partOf)
  const partRows: Record<string, unknown>[] = []
  const numberRows: Record<string, unknown>[] = []
  const offerRows: Record<string, unknown>[] = []
  for (const { line, supplierId, normalised, issuerKey: key, held } of matched) {
    const issuerId = issuerIds.get(key)!
    const values = {
      description: line.description || null,
      priceMinor: line.priceMinor,
      currency: line.currency,
      taxIncluded: line.taxIncluded,
      stock: line.stock,
      leadDays: line.leadDays,
      number: line.number,
    }
    if (held) {
      await store.update('offer', held.id, held.version, values)
      continue
    }
    let partId = parts.get(`${issuerId}:${normalised}`)
    if (partId === undefined) {
      partId = uuidv7()
      parts.set(`${issuerId}:${normalised}`, partId)
      partRows.push({ id: partId, kind: 'unsorted', name: line.description || `${line.issuer} ${line.number}` })
      numberRows.push({ id: uuidv7(), partId, issuerId, number: line.number, normalised })
    }
    offerRows.push({ id: uuidv7(), partId, supplierId, issuerId, normalised, pack: line.pack, condition: line.condition, ...values })
  }
  await store.insertMany('part', partRows)
  await store.insertMany('partNumber', numberRows)
  await store.insertMany('offer', offerRows)
}

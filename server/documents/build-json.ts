import type { z } from 'zod'
import { STORED_ROWS, type StoredTable } from '../../contract/stored.ts'
import {
  DEFAULT_RULE,
  type NumberRule,
  readNumber,
  ruleOf,
} from '../../core/identity/number-rule.ts'
import { faultIn } from '../../core/ports/field.ts'
import { fieldsOf, type PortKindName } from '../../core/ports/index.ts'
import { oldSupersession } from '../database/migrations/old-supersession.ts'
import { FileFault } from './file-fault.ts'

/** Rows of one table of a build document, as they are stored. */
export interface DocumentRows {
  readonly table: StoredTable
  readonly rows: readonly Record<string, unknown>[]
}

const BATCH = 500
const NAMED_FAULTS = 300

/**
 * Holds a build document against the contract, row by row and claim by claim, then hands its rows over table by table in
 * an order in which they can be inserted. Nothing is handed over if anything is wrong.
 *
 * @throws FileFault naming each fault by table, id and field
 */
export function* readBuildDocument(document: unknown): Generator<DocumentRows> {
  const { format, version, tables } = (document ?? {}) as {
    format?: unknown
    version?: unknown
    tables?: unknown
  }
  if (
    format !== 'junket-build' ||
    typeof tables !== 'object' ||
    tables === null ||
    Array.isArray(tables)
  )
    throw new FileFault(
      'This is not a Junket build document: it should start with "format": "junket-build".',
    )
  if (version !== 1 && version !== 2 && version !== 3)
    throw new FileFault(
      `This document is of version ${JSON.stringify(version)?.slice(0, 20)}; this Junket reads versions 1 to 3.`,
    )
  const faults: { path: string; message: string }[] = []
  let held = tables as Record<string, unknown>
  if (version === 1) held = fromVersion1(held)
  if (version < 3) held = fromVersion2(held)
  for (const name of Object.keys(held))
    if (!Object.hasOwn(STORED_ROWS, name))
      faults.push({ path: name.slice(0, 80), message: 'A table of this name is not known here.' })
  for (const table of Object.keys(STORED_ROWS) as StoredTable[])
    if (Object.hasOwn(held, table)) checkTable(table, held[table], faults)
  if (faults.length > 0)
    throw new FileFault(
      `${faults.length} ${faults.length === 1 ? 'thing is' : 'things are'} wrong in this document: nothing was read. First: ${faults[0]!.path}: ${faults[0]!.message}`,
      faults.slice(0, NAMED_FAULTS),
    )
  for (const table of Object.keys(STORED_ROWS) as StoredTable[]) {
    const rows = Object.hasOwn(held, table) ? (held[table] as Record<string, unknown>[]) : []
    for (let from = 0; from < rows.length; from += BATCH)
      yield { table, rows: rows.slice(from, from + BATCH) }
  }
}

/** Version 1 named the parts put in on a pairing in one field of it. */
function fromVersion1(tables: Record<string, unknown>): Record<string, unknown> {
  const { pairing } = tables
  if (!Array.isArray(pairing)) return tables
  const parts: { id: string; pairingId: unknown; partId: unknown }[] = []
  const pairings = pairing.map((row: unknown) => {
    if (
      typeof row !== 'object' ||
      row === null ||
      !Array.isArray((row as { inserted?: unknown }).inserted ?? [])
    )
      return row
    const { inserted, ...rest } = row as { id?: unknown; inserted?: unknown[] | null }
    for (const [place, partId] of (inserted ?? []).entries())
      parts.push({ id: `${rest.id}~${place}`, pairingId: rest.id, partId })
    return rest
  })
  return { ...tables, pairing: pairings, ...(parts.length > 0 ? { pairingPart: parts } : {}) }
}

/** Version 2 told of numbers without who says so, and hung supersessions of one number by one on a part. */
function fromVersion2(tables: Record<string, unknown>): Record<string, unknown> {
  const { supersession, partNumber, issuer } = tables
  const rules = new Map(
    (Array.isArray(issuer) ? issuer : []).flatMap((row: unknown): [unknown, NumberRule][] => {
      const read = STORED_ROWS.issuer.safeParse(row)
      return read.success ? [[read.data.id, ruleOf(read.data)]] : []
    }),
  )
  const keyOf = (id: string, number: string): string =>
    readNumber(number, rules.get(id) ?? DEFAULT_RULE).key
  const numbers: unknown[] = []
  return {
    ...tables,
    ...(Array.isArray(partNumber)
      ? {
          partNumber: partNumber.map((row: unknown) =>
            isRow(row) ? { mark: 'catalogue', again: false, grade: 'catalogue', ...row } : row,
          ),
        }
      : {}),
    ...(Array.isArray(supersession)
      ? {
          supersession: supersession.map((row: unknown) => {
            if (!isRow(row)) return row
            const old = oldSupersession(row, keyOf, null)
            numbers.push(...old.numbers)
            return old.supersession
          }),
          supersessionNumber: numbers,
        }
      : {}),
  }
}

const isRow = (row: unknown): row is Record<string, unknown> =>
  typeof row === 'object' && row !== null && !Array.isArray(row)

function checkTable(
  table: StoredTable,
  rows: unknown,
  faults: { path: string; message: string }[],
): void {
  if (!Array.isArray(rows))
    return void faults.push({ path: table, message: 'It should be a list of rows.' })
  const seen = new Set<string>()
  rows.forEach((row: unknown, i) => {
    const own = typeof row === 'object' && row !== null ? (row as { id?: unknown }).id : undefined
    const where = `${table}/${typeof own === 'string' && own !== '' ? own.slice(0, 80) : `row ${i + 1}`}`
    const checked = (STORED_ROWS[table] as z.ZodType).safeParse(row)
    for (const issue of checked.error?.issues ?? [])
      for (const one of faultsOf(issue))
        faults.push({ path: [where, ...one.path].join('/'), message: one.message })
    if (table === 'claim' && checked.success) {
      const fault = impossibleIn(checked.data as Claim)
      if (fault) faults.push({ path: `${where}/value`, message: fault })
    }
    if (typeof own !== 'string') return
    if (seen.has(own))
      faults.push({ path: `${where}/id`, message: 'Another row of this table has the same id.' })
    seen.add(own)
  })
}

type Claim = z.infer<(typeof STORED_ROWS)['claim']>
/** What no part can have is not read in; one struck out already is kept as it is. */
function impossibleIn({ portId, field, value, struckDay }: Claim): string | null {
  const words = fieldsOf(portId.split('/')[1] as PortKindName)[field]!
  return struckDay ? null : faultIn(words, value)
}

/** One fault a field: a key that is not of the row is named as the field it would be. */
function faultsOf(issue: z.core.$ZodIssue): { path: string[]; message: string }[] {
  if (issue.code === 'unrecognized_keys')
    return issue.keys.map((key) => ({
      path: [...issue.path.map(String), key.slice(0, 60)],
      message: 'A field of this name is not known here.',
    }))
  return [{ path: issue.path.map(String), message: issue.message }]
}

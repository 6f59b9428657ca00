import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDatabase } from '../server/database/sqlite/connection.ts'
import { Store } from '../server/database/store.ts'
import { readOffersCsv } from '../server/documents/offers-csv.ts'
import { importOffers } from '../server/services/offers.ts'
import { megabytes, type Row } from './row.ts'

const ROWS = 20_000

/** Offers from CSV into a database on disk, each row with its part, number and history entry. */
export async function benchImport(): Promise<Row[]> {
  const knex = await openDatabase(
    join(mkdtempSync(join(tmpdir(), 'junket-bench-')), 'junket.sqlite'),
  )
  const store = new Store(knex)
  await store.insert('supplier', { name: 'Bench', currency: 'EUR' })
  const lines = Array.from(
    { length: ROWS },
    (_, i) =>
      `Bench,BNC,${1000 + i}.${i % 7},Part ${i},${(i % 900) + 1}.50,EUR,yes,1,${i % 40},,new`,
  )
  const csv = [
    'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition',
    ...lines,
  ].join('\n')
  const from = performance.now()
  await importOffers(store, readOffersCsv(Buffer.from(csv)), {
    day: '2026-11-30',
    isWhole: false,
    leavesBadOut: false,
  })
  const seconds = (performance.now() - from) / 1000
  await knex.destroy()
  return [
    {
      name: `import of ${ROWS} offers from CSV`,
      value: Math.round(ROWS / seconds),
      unit: 'rows/s',
      goal: null,
      better: 'higher',
      runs: 1,
    },
    {
      name: 'import: memory after',
      value: megabytes(),
      unit: 'MB',
      goal: null,
      better: 'lower',
      runs: 1,
    },
  ]
}

import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { actAs } from '../server/database/actor.ts'
import { openDatabase } from '../server/database/sqlite/connection.ts'
import { Store } from '../server/database/store.ts'
import { FileReader } from '../server/jobs/file-reader.ts'
import { Importer } from '../server/jobs/importer.ts'
import type { Wanted } from '../server/services/importing/importing.ts'
import type { Row } from './row.ts'

const ROWS = 100_000
const DAY = '2026-11-30'
const OFFERS: Wanted = {
  kind: 'offers',
  terms: { day: DAY, isWhole: false, leavesBadOut: false },
}
const PARTS: Wanted = { kind: 'parts', terms: { day: DAY, dates: 'ask', decimal: 'ask' } }
const HEAD =
  'supplier,issuer,number,description,price,currency,taxIncluded,pack,stock,leadDays,condition'

/** Lists of 100,000 rows as the application takes them in: read and laid ready on threads of their own, landed in one merge. */
export async function benchImport(): Promise<Row[]> {
  const knex = await openDatabase(
    join(mkdtempSync(join(tmpdir(), 'junket-bench-')), 'junket.sqlite'),
  )
  const store = new Store(knex)
  await store.insert('supplier', { name: 'Bench', currency: 'EUR' })
  const importer = new Importer()
  const files = new FileReader()
  const offers = [
    HEAD,
    ...Array.from(
      { length: ROWS },
      (_, i) =>
        `Bench,BNC,${100_000 + i}.${i % 7},Part ${i},${(i % 900) + 1}.50,EUR,yes,1,${i % 40},,new`,
    ),
  ].join('\n')
  const parts = [
    'name,kind,issuer,number,mass,note',
    ...Array.from(
      { length: ROWS },
      (_, i) => `Clip ${i},disc,BNC,${900_000 + i},${i % 90} g,Row ${i}`,
    ),
  ].join('\n')
  const chunks = (wanted: Wanted) =>
    wanted.kind === 'offers'
      ? files.read('offers', Buffer.from(offers), { isWrapped: false, decimal: 'ask' })
      : files.read('list', Buffer.from(parts), {
          isWrapped: false,
          decimal: 'ask',
          list: { kind: wanted.kind, mapping: {} },
        })
  const rows: Row[] = []
  const measure = async (words: string, run: () => Promise<unknown>): Promise<void> => {
    const delay = monitorEventLoopDelay({ resolution: 5 })
    const idle = process.memoryUsage().rss
    let peak = idle
    const look = setInterval(() => {
      peak = Math.max(peak, process.memoryUsage().rss)
    }, 50)
    delay.enable()
    const from = performance.now()
    await run()
    const seconds = (performance.now() - from) / 1000
    delay.disable()
    clearInterval(look)
    const row = (name: string, value: number, unit: string, goal: number | null): Row => ({
      name: `${words}: ${name}`,
      value,
      unit,
      goal,
      better: 'lower',
      runs: 1,
    })
    rows.push(
      row('time', Number(seconds.toFixed(1)), 's', 10),
      row('memory at most, over idle', Math.round((peak - idle) / 1e6), 'MB', 300),
      row('longest that anybody is held', Math.round(delay.max / 1e6), 'ms', 50),
    )
  }
  const take = (wanted: Wanted) => () => importer.import(store, chunks(wanted), wanted)
  const as = (command: string, work: () => Promise<unknown>) => () =>
    actAs({ who: 'bench', command }, work)
  await measure(`${ROWS} offers from CSV, each with its part and number`, take(OFFERS))
  await measure('the same again, nothing written', take(OFFERS))
  await measure(`${ROWS} parts with their numbers from CSV`, as('parts', take(PARTS)))
  await measure(
    'those parts undone',
    as('undo', () => importer.undo(store, 'parts')),
  )
  await importer.close()
  await files.close()
  await knex.destroy()
  return rows
}

import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { benchExplorer } from './explorer.ts'
import { benchGrowth } from './growth.ts'
import { benchImport } from './import.ts'
import { benchList } from './list.ts'
import { benchNumbers } from './numbers.ts'
import { benchPairings } from './pairings.ts'
import { benchPattern } from './pattern.ts'
import { benchPeople } from './people.ts'
import { type Row, saysOf } from './row.ts'
import { benchSearch } from './search.ts'
import { benchSourcing } from './sourcing.ts'
import { benchStart } from './start.ts'
import { benchTable } from './table.ts'

const BENCHES = {
  people: benchPeople,
  pairings: benchPairings,
  list: benchList,
  pattern: benchPattern,
  numbers: benchNumbers,
  search: benchSearch,
  sourcing: benchSourcing,
  import: benchImport,
  start: benchStart,
  table: benchTable,
  explorer: benchExplorer,
  growth: benchGrowth,
}

const only = process.argv.slice(2)
const rows: Row[] = []
for (const [name, bench] of Object.entries(BENCHES))
  if (only.length === 0 || only.includes(name)) rows.push(...(await bench()))
console.log(`\n${cpus().length} × ${cpus()[0]?.model ?? 'processor'}, Node ${process.version}\n`)
for (const row of rows)
  console.log(
    `${row.name.padEnd(62)} ${String(row.value).padStart(9)} ${row.unit.padEnd(7)} ${row.goal === null ? '' : `goal ${row.better === 'lower' ? '≤' : '≥'} ${row.goal}: ${saysOf(row)}`}${row.percentile ? ` (${row.percentile} of ${row.runs})` : ''}`,
  )
// What was not run now stays as it was last measured.
const LATEST = 'bench/latest.json'
const kept: readonly Row[] = existsSync(LATEST) ? JSON.parse(readFileSync(LATEST, 'utf8')) : []
const latest = new Map([...kept, ...rows].map((row) => [row.name, row]))
writeFileSync(LATEST, `${JSON.stringify([...latest.values()], null, 1)}\n`)
process.exit(0)

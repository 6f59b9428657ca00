import { readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { benchGrowth } from './growth.ts'
import { benchImport } from './import.ts'
import { benchPairings } from './pairings.ts'
import { benchPattern } from './pattern.ts'
import { benchPeople } from './people.ts'
import { type Row, saysOf } from './row.ts'
import { benchSourcing } from './sourcing.ts'
import { benchStart } from './start.ts'

const BENCHES = {
  people: benchPeople,
  pairings: benchPairings,
  pattern: benchPattern,
  sourcing: benchSourcing,
  import: benchImport,
  start: benchStart,
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
const kept: readonly Row[] = JSON.parse(readFileSync('bench/latest.json', 'utf8'))
const latest = new Map([...kept, ...rows].map((row) => [row.name, row]))
writeFileSync('bench/latest.json', `${JSON.stringify([...latest.values()], null, 1)}\n`)
process.exit(0)

import { copied } from './copies.ts'
import { fullDisk } from './full-disk.ts'
import { killed } from './kill.ts'
import type { Outcome } from './outcome.ts'
import { started } from './starts.ts'

const KINDS: Record<string, () => Promise<Outcome>> = {
  starts: started,
  copies: copied,
  disk: fullDisk,
  kill: killed,
}

const only = process.argv.slice(2)
const outcomes: Outcome[] = []
for (const [name, run] of Object.entries(KINDS)) {
  if (only.length > 0 && !only.includes(name)) continue
  console.log(`\n— ${name}`)
  outcomes.push(await run())
}
console.log('')
for (const { kind, tried, failures, skipped } of outcomes) {
  console.log(
    `${kind.padEnd(40)} ${String(tried).padStart(6)} tried ${String(failures.length).padStart(4)} failed${skipped ? `  (not tried: ${skipped})` : ''}`,
  )
  for (const failure of failures.slice(0, 10)) console.log(`    ${failure}`)
}
process.exit(outcomes.some(({ failures }) => failures.length > 0) ? 1 : 0)

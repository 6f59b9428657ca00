import { isCaught, mutants } from '../core/joints/mutants.property.ts'

const started = performance.now()
const all = mutants()
const survivors = all.filter((mutant) => !isCaught(mutant))
for (const { joint, limit, words } of survivors)
  console.log(`survives: ${joint} ${limit}, ${words}`)
console.log(
  `\n${all.length} mutants, ${all.length - survivors.length} caught, ${survivors.length} survive, ${((performance.now() - started) / 1000).toFixed(0)} s`,
)
process.exit(survivors.length > 0 ? 1 : 0)

// Writes an answer of the demo for each operation: the examples of the OpenAPI document.
import { writeFileSync } from 'node:fs'
import { demoDocument } from '../../demo/index.ts'
import { askAll } from './ask-all.ts'

/** Lists cut to their first entry; figures stay in pairs and threes. */
function cut(value: unknown): unknown {
  if (Array.isArray(value))
    return value.slice(0, value.every((one) => typeof one === 'number') ? 3 : 1).map(cut)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(Object.entries(value).map(([key, held]) => [key, cut(held)]))
}

const exchanges = await askAll(demoDocument())
const examples = Object.fromEntries([...exchanges].map(([name, { answer }]) => [name, cut(answer)]))
writeFileSync('server/examples/examples.json', `${JSON.stringify(examples, null, 1)}\n`)
process.exit(0)

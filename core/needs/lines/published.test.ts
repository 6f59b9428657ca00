import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { LINE_ROWS } from './index.ts'
import { LIST_VERSION } from './version.ts'

const published: readonly string[] = JSON.parse(readFileSync(new URL('./published.json', import.meta.url), 'utf8'))

test('a kind once published stands, or has an heir; a new one is published with it', () => {
  const kinds = new Set(LINE_ROWS.flatMap(({ kind, was = [] }) => [kind, ...was]))
  expect(published.filter((kind) => !kinds.has(kind))).toEqual([])
  expect(LINE_ROWS.map(({ kind }) => kind).filter((kind) => !published.includes(kind))).toEqual([])
  expect(new Set(published).size).toBe(published.length)
  // No name an heir took over is given to another.
  const names = LINE_ROWS.flatMap(({ was = [] }) => was)
  for (const { kind } of LINE_ROWS) expect(names).not.toContain(kind)
})

test('a version of the list is of these rows and no others: what changed a row raised it', () => {
  const versions: Readonly<Record<string, string>> = JSON.parse(readFileSync(new URL('./versions.json', import.meta.url), 'utf8'))
  const print = createHash('sha256').update(JSON.stringify(LINE_ROWS)).digest('hex').slice(0, 16)
  expect(Object.keys(versions).map(Number)).toEqual(Array.from({ length: LIST_VERSION }, (_, i) => i + 1))
  // Another print: raise LIST_VERSION and add the new print to versions.json.
  expect(versions[LIST_VERSION]).toBe(print)
})

import { expect, test } from 'vitest'
import { JOINTS } from '../joints/index.ts'
import { COMPUTED_JOINTS } from './derived.ts'
import { FACT_ROWS } from './index.ts'

const rows = Object.entries(FACT_ROWS)

test('every fact has at least two values, each once; what is assumed is one of them', () => {
  for (const [key, { values, assumed }] of rows) {
    expect(new Set(values).size, key).toBe(values.length)
    expect(values.length, key).toBeGreaterThan(1)
    if (assumed !== undefined) expect(values, key).toContain(assumed)
  }
})

test('what is asked is asked in words, with how it is found out; the start asks little, the stoppers are twelve', () => {
  const asked = rows.filter(([, { asks }]) => asks !== undefined)
  for (const [key, { asks, found }] of asked) {
    expect(asks!.endsWith('?'), key).toBe(true)
    expect(found, key).toBeTruthy()
  }
  expect(new Set(asked.map(([, { asks }]) => asks)).size).toBe(asked.length)
  const at = (when: string): string[] =>
    rows.flatMap(([key, row]) => (row.when === when && !key.startsWith('keep.') ? [key] : []))
  expect(at('start')).toHaveLength(8)
  expect(at('stopper')).toHaveLength(12)
})

test('every joint that is a fact is one that is computed', () => {
  const ids = JOINTS.map(({ id }) => id)
  for (const id of COMPUTED_JOINTS) expect(ids).toContain(id)
})
